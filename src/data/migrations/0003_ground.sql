ALTER TABLE "edits" ADD COLUMN "key" text;--> statement-breakpoint
ALTER TABLE "edits" ADD COLUMN "who" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "edits_from" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "pins" ADD COLUMN "number" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "site_entries" ADD COLUMN "held" jsonb;--> statement-breakpoint
CREATE UNIQUE INDEX "edits_key" ON "edits" USING btree ("job_id","key");