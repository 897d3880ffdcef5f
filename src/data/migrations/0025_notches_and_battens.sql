ALTER TABLE "decks" ADD COLUMN "notch_lines" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "decks" ADD COLUMN "battens" jsonb DEFAULT '[]'::jsonb NOT NULL;