ALTER TABLE "rooms" ADD COLUMN "way_out" boolean;--> statement-breakpoint
ALTER TABLE "sections" ADD COLUMN "inner_radius" double precision;--> statement-breakpoint
ALTER TABLE "sections" ADD COLUMN "into_wall" text DEFAULT 'none' NOT NULL;--> statement-breakpoint
ALTER TABLE "walls" ADD COLUMN "fire_resisting" boolean DEFAULT false NOT NULL;