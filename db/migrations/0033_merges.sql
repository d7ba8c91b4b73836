ALTER TABLE "rackets" ADD COLUMN "clients_before" uuid[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
UPDATE rackets SET clients_before = array[client_before_merge] WHERE client_before_merge IS NOT NULL;--> statement-breakpoint
ALTER TABLE "rackets" DROP COLUMN "client_before_merge";
