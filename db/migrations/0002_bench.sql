ALTER TABLE "tickets" ADD CONSTRAINT "tickets_workshopId_id_unique" UNIQUE("workshop_id","id");--> statement-breakpoint
CREATE TABLE "bench_events" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"ticket_id" uuid NOT NULL,
	"arrived" bigserial NOT NULL,
	"bench" uuid NOT NULL,
	"plan" text NOT NULL,
	"done" integer NOT NULL,
	"deed" jsonb NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "steps are counted from none" CHECK ("bench_events"."done" >= 0)
);
--> statement-breakpoint
CREATE TABLE "machine_checks" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"machine_id" uuid NOT NULL,
	"day" date NOT NULL,
	"asked_n" double precision NOT NULL,
	"measured_n" double precision NOT NULL,
	"removed_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "kind" text DEFAULT 'electronic constant pull' NOT NULL;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "mounts" integer DEFAULT 6 NOT NULL;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "clamp_kind" text DEFAULT 'fixed swivel' NOT NULL;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "clamps" integer DEFAULT 2 NOT NULL;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "starting_clamps" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "head_address" text;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "check_every_days" integer DEFAULT 30 NOT NULL;--> statement-breakpoint
ALTER TABLE "workshops" ADD COLUMN "hand" text DEFAULT 'practised' NOT NULL;--> statement-breakpoint
ALTER TABLE "bench_events" ADD CONSTRAINT "bench_events_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "machine_checks" ADD CONSTRAINT "machine_checks_workshop_id_machine_id_machines_workshop_id_id_fk" FOREIGN KEY ("workshop_id","machine_id") REFERENCES "public"."machines"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "bench_events_ticket_id_arrived_index" ON "bench_events" USING btree ("ticket_id","arrived");--> statement-breakpoint
CREATE INDEX "machine_checks_machine_id_day_index" ON "machine_checks" USING btree ("machine_id","day");