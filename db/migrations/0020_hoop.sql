ALTER TABLE "frames" ADD COLUMN "hoop_factor" double precision;--> statement-breakpoint
ALTER TABLE "frames" ADD COLUMN "hoop_error_mm" double precision;