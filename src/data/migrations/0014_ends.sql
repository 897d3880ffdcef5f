ALTER TABLE "points" ADD COLUMN "tied" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "points" ADD COLUMN "face_holes" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "points" ADD COLUMN "gland_at" jsonb DEFAULT '{}'::jsonb NOT NULL;