CREATE TABLE "arrangements" (
	"ticket_id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"bench_id" uuid,
	"turn" integer,
	"here_from" text,
	CONSTRAINT "a turn is at a bench" CHECK (("arrangements"."bench_id" is null) = ("arrangements"."turn" is null))
);
--> statement-breakpoint
ALTER TABLE "arrangements" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "benches" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"removed_at" timestamp with time zone,
	"name" text NOT NULL,
	"machine_id" uuid,
	"hand" text DEFAULT 'practised' NOT NULL,
	"hours" jsonb NOT NULL,
	CONSTRAINT "benches_workshopId_id_unique" UNIQUE("workshop_id","id")
);
--> statement-breakpoint
ALTER TABLE "benches" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "arrangements" ADD CONSTRAINT "arrangements_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "arrangements" ADD CONSTRAINT "arrangements_workshop_id_bench_id_benches_workshop_id_id_fk" FOREIGN KEY ("workshop_id","bench_id") REFERENCES "public"."benches"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "benches" ADD CONSTRAINT "benches_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "benches" ADD CONSTRAINT "benches_workshop_id_machine_id_machines_workshop_id_id_fk" FOREIGN KEY ("workshop_id","machine_id") REFERENCES "public"."machines"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "arrangements_workshop_id_index" ON "arrangements" USING btree ("workshop_id");--> statement-breakpoint
CREATE POLICY "wall" ON "arrangements" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("arrangements"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("arrangements"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "benches" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("benches"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("benches"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON benches FOR EACH ROW EXECUTE FUNCTION write_trail();
