CREATE TABLE "corrections" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"ticket_id" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"person_id" uuid,
	"text" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "corrections" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "withdrawn_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "withdrawn_why" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "corrections" ADD CONSTRAINT "corrections_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "corrections" ADD CONSTRAINT "corrections_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "corrections_ticket_id_at_index" ON "corrections" USING btree ("ticket_id","at");--> statement-breakpoint
ALTER TABLE "tickets" ADD CONSTRAINT "a withdrawn ticket is not closed" CHECK ("tickets"."withdrawn_at" is null or "tickets"."closed_at" is null);--> statement-breakpoint
CREATE POLICY "wall" ON "corrections" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("corrections"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("corrections"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));