-- What is owed is worked out from two of these, and has to be made anew with them.
DROP INDEX "tickets_unpaid";--> statement-breakpoint
ALTER TABLE "tickets" DROP COLUMN "job_owing";--> statement-breakpoint
ALTER TABLE "tickets"
  ALTER COLUMN "labour_minor" SET DATA TYPE bigint,
  ALTER COLUMN "string_minor" SET DATA TYPE bigint,
  ALTER COLUMN "to_pay_minor" SET DATA TYPE bigint,
  ALTER COLUMN "paid_minor" SET DATA TYPE bigint;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "job_owing" boolean GENERATED ALWAYS AS (coalesce(paid_minor < to_pay_minor, false)) STORED;--> statement-breakpoint
CREATE INDEX "tickets_unpaid" ON "tickets" USING btree ("workshop_id","closed_at" DESC NULLS LAST,"number" DESC NULLS LAST) WHERE closed_at is not null and job_owing;--> statement-breakpoint
ALTER TABLE "workshops" ALTER COLUMN "labour_minor" SET DATA TYPE bigint;--> statement-breakpoint
ALTER TABLE "strings"
  ALTER COLUMN "set_price_minor" SET DATA TYPE bigint,
  ALTER COLUMN "reel_price_minor" SET DATA TYPE bigint;--> statement-breakpoint
ALTER TABLE "invoices" ALTER COLUMN "total_minor" SET DATA TYPE bigint;--> statement-breakpoint
ALTER TABLE "payments" ALTER COLUMN "amount_minor" SET DATA TYPE bigint;--> statement-breakpoint
ALTER TABLE "price_items" ALTER COLUMN "unit_minor" SET DATA TYPE bigint;--> statement-breakpoint
ALTER TABLE "earlier_jobs" ALTER COLUMN "price_minor" SET DATA TYPE bigint;--> statement-breakpoint
ALTER TABLE "events"
  ALTER COLUMN "labour_minor" SET DATA TYPE bigint,
  ALTER COLUMN "own_string_minor" SET DATA TYPE bigint,
  ALTER COLUMN "rush_minor" SET DATA TYPE bigint;--> statement-breakpoint
ALTER TABLE "stock_lengths" ALTER COLUMN "price_minor" SET DATA TYPE bigint;
