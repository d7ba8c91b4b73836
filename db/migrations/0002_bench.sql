ALTER TABLE "tickets" ADD CONSTRAINT "tickets_workshopId_id_unique" UNIQUE("workshop_id","id");--> statement-breakpoint
CREATE TABLE "bench_events" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"ticket_id" uuid NOT NULL,
	"arrived" bigserial NOT NULL,
	"done" integer NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "steps are counted from none" CHECK ("bench_events"."done" >= 0)
);--> statement-breakpoint
ALTER TABLE "bench_events" ADD CONSTRAINT "bench_events_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "bench_events_ticket_id_arrived_index" ON "bench_events" USING btree ("ticket_id","arrived");