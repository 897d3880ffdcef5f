CREATE TABLE "sections" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"label" text NOT NULL,
	"kind" text NOT NULL,
	"size" text NOT NULL,
	"path" jsonb NOT NULL,
	"corners" text NOT NULL,
	"state" text NOT NULL,
	"holds" jsonb NOT NULL,
	"out" jsonb NOT NULL,
	CONSTRAINT "sections_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
ALTER TABLE "sections" ADD CONSTRAINT "sections_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;