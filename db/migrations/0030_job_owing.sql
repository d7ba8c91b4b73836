DROP INDEX "tickets_unpaid";--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "job_owing" boolean GENERATED ALWAYS AS (coalesce(paid_minor < to_pay_minor, false)) STORED;--> statement-breakpoint
CREATE INDEX "tickets_on_record" ON "tickets" USING btree ("workshop_id","closed_at" DESC NULLS LAST,"number" DESC NULLS LAST,"id") WHERE closed_at is not null and removed_at is null;--> statement-breakpoint
CREATE INDEX "tickets_unpaid" ON "tickets" USING btree ("workshop_id","closed_at" DESC NULLS LAST,"number" DESC NULLS LAST) WHERE closed_at is not null and job_owing;--> statement-breakpoint
ANALYZE tickets;
