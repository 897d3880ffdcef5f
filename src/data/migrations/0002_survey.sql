CREATE TABLE "forbidden" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"name" text NOT NULL,
	"place" jsonb NOT NULL,
	CONSTRAINT "forbidden_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "found_cables" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"from" text NOT NULL,
	"to" text,
	"cable" text NOT NULL,
	"colours" text NOT NULL,
	"fate" text NOT NULL,
	"note" text NOT NULL,
	CONSTRAINT "found_cables_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "found_trunkings" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"wall" text NOT NULL,
	"size" text NOT NULL,
	"from" jsonb NOT NULL,
	"to" jsonb NOT NULL,
	"holds" jsonb NOT NULL,
	CONSTRAINT "found_trunkings_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "photos" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"wall" text NOT NULL,
	"picture" text NOT NULL,
	"u" double precision NOT NULL,
	"v" double precision NOT NULL,
	"text" text NOT NULL,
	"at" text NOT NULL,
	CONSTRAINT "photos_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "pictures" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"type" text NOT NULL,
	"data" text NOT NULL,
	"stored_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "pictures_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "traces" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"storey" text NOT NULL,
	"picture" text NOT NULL,
	"name" text NOT NULL,
	"x" double precision NOT NULL,
	"y" double precision NOT NULL,
	"scale" double precision NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"shown" boolean NOT NULL,
	CONSTRAINT "traces_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
ALTER TABLE "circuits" ADD COLUMN "board" text;--> statement-breakpoint
ALTER TABLE "circuits" ADD COLUMN "state" text DEFAULT 'new' NOT NULL;--> statement-breakpoint
ALTER TABLE "decks" ADD COLUMN "noggins" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "decks" ADD COLUMN "bore_lines" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "decks" ADD COLUMN "maker_allows" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "points" ADD COLUMN "existing" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "rooms" ADD COLUMN "slopes" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "forbidden" ADD CONSTRAINT "forbidden_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "found_cables" ADD CONSTRAINT "found_cables_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "found_trunkings" ADD CONSTRAINT "found_trunkings_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pictures" ADD CONSTRAINT "pictures_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "traces" ADD CONSTRAINT "traces_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;