DROP INDEX "tickets_uncollected";--> statement-breakpoint
DROP INDEX "tickets_unpaid";--> statement-breakpoint
CREATE INDEX "tickets_uncollected" ON "tickets" USING btree ("workshop_id","closed_at" DESC NULLS LAST,"number" DESC NULLS LAST) WHERE closed_at is not null and collected_at is null;--> statement-breakpoint
CREATE INDEX "tickets_unpaid" ON "tickets" USING btree ("workshop_id","closed_at" DESC NULLS LAST,"number" DESC NULLS LAST) WHERE closed_at is not null and paid_minor < to_pay_minor;