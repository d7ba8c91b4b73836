CREATE TABLE "second_steps" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"user_id" uuid NOT NULL,
	"secret" text NOT NULL,
	"backup_codes" text NOT NULL,
	"verified" boolean DEFAULT false NOT NULL,
	"failed_verification_count" integer DEFAULT 0 NOT NULL,
	"locked_until" timestamp with time zone,
	CONSTRAINT "second_steps_userId_unique" UNIQUE("user_id")
);
--> statement-breakpoint
ALTER TABLE "second_steps" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "two_factor_enabled" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "by_passkey" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "workshops" ADD COLUMN "owners_second_step" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "second_steps" ADD CONSTRAINT "second_steps_user_id_people_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE POLICY "wall" ON "second_steps" AS PERMISSIVE FOR ALL TO public USING ((select at_workshop()) is null) WITH CHECK ((select at_workshop()) is null);