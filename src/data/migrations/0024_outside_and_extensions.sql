CREATE TABLE "extensions" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"circuit" text NOT NULL,
	"shape" text NOT NULL,
	"broken" jsonb,
	"joints" jsonb NOT NULL,
	"way" text NOT NULL,
	"boxes" text NOT NULL,
	"spare" double precision NOT NULL,
	"doubled" boolean NOT NULL,
	CONSTRAINT "extensions_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "grounds" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"room" text NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"outline" jsonb NOT NULL,
	"level" double precision NOT NULL,
	CONSTRAINT "grounds_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "light_rows" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"label" text NOT NULL,
	"name" text NOT NULL,
	"room" text NOT NULL,
	"from" text,
	"path" jsonb NOT NULL,
	"sides" integer NOT NULL,
	"width" double precision NOT NULL,
	"count" integer NOT NULL,
	"end" double precision NOT NULL,
	"on_posts" boolean NOT NULL,
	"carried" text NOT NULL,
	"line" double precision NOT NULL,
	"height" double precision NOT NULL,
	"cable" text NOT NULL,
	"watts" double precision NOT NULL,
	"sensor" text NOT NULL,
	"override" boolean NOT NULL,
	"spare" integer NOT NULL,
	CONSTRAINT "light_rows_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "outside_ways" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"label" text NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"from" jsonb NOT NULL,
	"to" jsonb NOT NULL,
	"turns" jsonb NOT NULL,
	"depth" double precision NOT NULL,
	"depths" jsonb NOT NULL,
	"bed" double precision NOT NULL,
	"marker" double precision NOT NULL,
	"ducts" jsonb NOT NULL,
	"services" jsonb NOT NULL,
	"posts" jsonb NOT NULL,
	"tension" double precision NOT NULL,
	"wire" double precision NOT NULL,
	CONSTRAINT "outside_ways_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "posts" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"room" text NOT NULL,
	"label" text NOT NULL,
	"x" double precision NOT NULL,
	"y" double precision NOT NULL,
	"height" double precision NOT NULL,
	"breadth" double precision NOT NULL,
	CONSTRAINT "posts_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
ALTER TABLE "circuits" ADD COLUMN "far_earth" text;--> statement-breakpoint
ALTER TABLE "photos" ADD COLUMN "outside" text;--> statement-breakpoint
ALTER TABLE "extensions" ADD CONSTRAINT "extensions_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "grounds" ADD CONSTRAINT "grounds_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "light_rows" ADD CONSTRAINT "light_rows_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outside_ways" ADD CONSTRAINT "outside_ways_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "posts" ADD CONSTRAINT "posts_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;