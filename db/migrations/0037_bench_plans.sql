CREATE TABLE "bench_plans" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"ticket_id" uuid NOT NULL,
	"plan" text NOT NULL,
	"kept" jsonb NOT NULL,
	CONSTRAINT "bench_plans_ticketId_plan_unique" UNIQUE("ticket_id","plan")
);
--> statement-breakpoint
ALTER TABLE "bench_plans" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "job_strung" text GENERATED ALWAYS AS (record #>> '{strung,words}') STORED;--> statement-breakpoint
ALTER TABLE "bench_plans" ADD CONSTRAINT "bench_plans_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE POLICY "wall" ON "bench_plans" AS PERMISSIVE FOR ALL TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("bench_plans"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("bench_plans"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));