CREATE TABLE "catalogue_rows" (
	"table" text NOT NULL,
	"id" text NOT NULL,
	"row" jsonb NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "catalogue_rows_table_id_pk" PRIMARY KEY("table","id")
);
--> statement-breakpoint
CREATE TABLE "defaults" (
	"key" text PRIMARY KEY NOT NULL,
	"value" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "kept_answers" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"calculator" text NOT NULL,
	"input" jsonb NOT NULL,
	"headline" text NOT NULL,
	"job_id" text,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "circuits" ADD COLUMN "watts" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "kept_answers" ADD CONSTRAINT "kept_answers_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "kept_answers_job" ON "kept_answers" USING btree ("job_id");