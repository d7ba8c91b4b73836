CREATE TABLE "bed_readings" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"ticket_id" uuid NOT NULL,
	"taken_on" text NOT NULL,
	"kind" text NOT NULL,
	"value" double precision NOT NULL,
	"mass_g" double precision,
	"unit" text DEFAULT '' NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"person_id" uuid,
	"removed_at" timestamp with time zone,
	CONSTRAINT "a reading is something" CHECK ("bed_readings"."value" > 0)
);
--> statement-breakpoint
ALTER TABLE "bed_readings" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "bed_readings" ADD CONSTRAINT "bed_readings_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bed_readings" ADD CONSTRAINT "bed_readings_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bed_readings" ADD CONSTRAINT "bed_readings_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "bed_readings_workshop_id_ticket_id_index" ON "bed_readings" USING btree ("workshop_id","ticket_id");--> statement-breakpoint
CREATE POLICY "wall" ON "bed_readings" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("bed_readings"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("bed_readings"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));