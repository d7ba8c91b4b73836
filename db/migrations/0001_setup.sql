ALTER TABLE "clients" ADD COLUMN "talk" jsonb;--> statement-breakpoint
ALTER TABLE "rackets" ADD COLUMN "build" jsonb;--> statement-breakpoint
ALTER TABLE "strings" ADD COLUMN "sub_kind" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "strings" ADD COLUMN "shape" text DEFAULT 'round' NOT NULL;--> statement-breakpoint
ALTER TABLE "strings" ADD COLUMN "colour" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "strings" ADD COLUMN "reel_mm" double precision;--> statement-breakpoint
ALTER TABLE "strings" ADD COLUMN "reel_price_minor" integer;--> statement-breakpoint
ALTER TABLE "strings" ADD COLUMN "mass_g_per_m" double precision;--> statement-breakpoint
ALTER TABLE "strings" ADD COLUMN "life_hours" double precision;--> statement-breakpoint
ALTER TABLE "strings" ADD COLUMN "holding" double precision;--> statement-breakpoint
ALTER TABLE "strings" ADD COLUMN "not_for" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "advice" jsonb;--> statement-breakpoint
ALTER TABLE "workshops" ADD COLUMN "house_rules" jsonb;--> statement-breakpoint
ALTER TABLE "strings" ADD CONSTRAINT "a reel has a length and a price" CHECK (("strings"."reel_mm" is null) = ("strings"."reel_price_minor" is null));