ALTER TABLE "photos" ALTER COLUMN "wall" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "photos" ADD COLUMN "deck" text;