CREATE TABLE "packs" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"item" text NOT NULL,
	"size" text NOT NULL,
	"holds" double precision NOT NULL,
	"price" integer,
	"code" text NOT NULL,
	CONSTRAINT "packs_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "stock" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"item" text NOT NULL,
	"size" text NOT NULL,
	"quantity" double precision NOT NULL,
	CONSTRAINT "stock_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
ALTER TABLE "drums" ADD COLUMN "mark" integer;--> statement-breakpoint
ALTER TABLE "drums" ADD COLUMN "rising" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "work" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "site_entries" ADD COLUMN "mark" text;--> statement-breakpoint
ALTER TABLE "site_entries" ADD COLUMN "cut" jsonb;--> statement-breakpoint
ALTER TABLE "site_entries" ADD COLUMN "place" jsonb;--> statement-breakpoint
ALTER TABLE "site_entries" ADD COLUMN "instrument" text;--> statement-breakpoint
ALTER TABLE "packs" ADD CONSTRAINT "packs_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock" ADD CONSTRAINT "stock_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;