ALTER TABLE "sessions" ADD COLUMN "seen_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "by_code" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "proven_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "devices" ADD COLUMN "closed_at" timestamp with time zone;