ALTER TABLE "invoices" DROP CONSTRAINT "invoices_reversesId_unique";--> statement-breakpoint
ALTER TABLE "tickets" DROP CONSTRAINT "a closed ticket has its record";--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "was_closed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "payments" ADD COLUMN "kind" text DEFAULT 'paid' NOT NULL;--> statement-breakpoint
CREATE INDEX "invoices_reverses_id_index" ON "invoices" USING btree ("reverses_id");--> statement-breakpoint
ALTER TABLE "tickets" ADD CONSTRAINT "a voided job is withdrawn" CHECK ("tickets"."was_closed_at" is null or "tickets"."withdrawn_at" is not null);--> statement-breakpoint
ALTER TABLE "tickets" ADD CONSTRAINT "a closed ticket has its record" CHECK ((coalesce("tickets"."closed_at", "tickets"."was_closed_at") is null) = ("tickets"."record" is null));