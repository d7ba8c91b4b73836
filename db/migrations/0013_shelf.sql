CREATE TABLE "stock_lengths" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"string_id" uuid NOT NULL,
	"gauge_mm" double precision NOT NULL,
	"kind" text NOT NULL,
	"mm" double precision NOT NULL,
	"price_minor" integer NOT NULL,
	"supplier" text DEFAULT '' NOT NULL,
	"place" text DEFAULT '' NOT NULL,
	"day" date NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"person_id" uuid,
	CONSTRAINT "stock_lengths_workshopId_id_unique" UNIQUE("workshop_id","id"),
	CONSTRAINT "a length is some length" CHECK ("stock_lengths"."mm" > 0)
);
--> statement-breakpoint
ALTER TABLE "stock_lengths" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "stock_moves" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"length_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"mm" double precision NOT NULL,
	"ticket_id" uuid,
	"undoes" uuid,
	"note" text DEFAULT '' NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"person_id" uuid,
	CONSTRAINT "stock_moves_undoes_unique" UNIQUE("undoes"),
	CONSTRAINT "stock_moves_workshopId_id_unique" UNIQUE("workshop_id","id")
);
--> statement-breakpoint
ALTER TABLE "stock_moves" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "stock_lengths" ADD CONSTRAINT "stock_lengths_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_lengths" ADD CONSTRAINT "stock_lengths_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_lengths" ADD CONSTRAINT "stock_lengths_workshop_id_string_id_strings_workshop_id_id_fk" FOREIGN KEY ("workshop_id","string_id") REFERENCES "public"."strings"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_moves" ADD CONSTRAINT "stock_moves_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_moves" ADD CONSTRAINT "stock_moves_workshop_id_length_id_stock_lengths_workshop_id_id_fk" FOREIGN KEY ("workshop_id","length_id") REFERENCES "public"."stock_lengths"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_moves" ADD CONSTRAINT "stock_moves_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_moves" ADD CONSTRAINT "stock_moves_workshop_id_undoes_stock_moves_workshop_id_id_fk" FOREIGN KEY ("workshop_id","undoes") REFERENCES "public"."stock_moves"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "stock_lengths_workshop_id_string_id_gauge_mm_index" ON "stock_lengths" USING btree ("workshop_id","string_id","gauge_mm");--> statement-breakpoint
CREATE INDEX "stock_moves_workshop_id_length_id_index" ON "stock_moves" USING btree ("workshop_id","length_id");--> statement-breakpoint
CREATE INDEX "stock_moves_workshop_id_at_index" ON "stock_moves" USING btree ("workshop_id","at" DESC NULLS LAST);--> statement-breakpoint
CREATE POLICY "wall" ON "stock_lengths" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("stock_lengths"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("stock_lengths"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "stock_moves" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("stock_moves"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("stock_moves"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));