ALTER TABLE "circuits" ADD COLUMN "run_cables" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "points" ADD COLUMN "gang_of" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "points" ADD COLUMN "fuse" integer DEFAULT 13 NOT NULL;--> statement-breakpoint
ALTER TABLE "points" ADD COLUMN "watts" double precision;--> statement-breakpoint
ALTER TABLE "points" ADD COLUMN "water" integer;--> statement-breakpoint
ALTER TABLE "points" ADD COLUMN "labelled" boolean DEFAULT false NOT NULL;