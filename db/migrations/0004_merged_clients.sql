ALTER TABLE "clients" ADD COLUMN "merged_into" uuid;--> statement-breakpoint
ALTER TABLE "rackets" ADD COLUMN "client_before_merge" uuid;