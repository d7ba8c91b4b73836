CREATE TABLE "court_words" (
	"ticket_id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"faults" text[] NOT NULL,
	"again" text,
	"broke_hours" double precision,
	"broke_at" text,
	"note" text DEFAULT '' NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"person_id" uuid
);
--> statement-breakpoint
ALTER TABLE "court_words" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "court_words" ADD CONSTRAINT "court_words_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "court_words" ADD CONSTRAINT "court_words_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "court_words" ADD CONSTRAINT "court_words_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "court_words_workshop_id_index" ON "court_words" USING btree ("workshop_id");--> statement-breakpoint
CREATE POLICY "wall" ON "court_words" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("court_words"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("court_words"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));