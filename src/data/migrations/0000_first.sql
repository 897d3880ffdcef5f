CREATE TABLE "circuits" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"label" text NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"device" jsonb NOT NULL,
	"rcd" integer,
	"cable" text NOT NULL,
	"way" integer,
	"points" jsonb NOT NULL,
	"order" text NOT NULL,
	"spurs" jsonb NOT NULL,
	"walls" text NOT NULL,
	"ambient" double precision NOT NULL,
	CONSTRAINT "circuits_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "decks" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"outline" jsonb NOT NULL,
	"underside" double precision NOT NULL,
	"joists" jsonb NOT NULL,
	"boards" jsonb NOT NULL,
	"insulation_over" double precision NOT NULL,
	"access" text NOT NULL,
	"heavy_joists" jsonb NOT NULL,
	"existing_cuts" jsonb NOT NULL,
	"obstacles" jsonb NOT NULL,
	CONSTRAINT "decks_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "drums" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"label" text NOT NULL,
	"cable" text NOT NULL,
	"length" double precision NOT NULL,
	CONSTRAINT "drums_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "edits" (
	"job_id" text NOT NULL,
	"version" integer NOT NULL,
	"patch" jsonb NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "edits_job_id_version_pk" PRIMARY KEY("job_id","version")
);
--> statement-breakpoint
CREATE TABLE "fixtures" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"wall" text NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"u" double precision NOT NULL,
	"v" double precision NOT NULL,
	"width" double precision NOT NULL,
	"height" double precision NOT NULL,
	"depth" double precision NOT NULL,
	CONSTRAINT "fixtures_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "jobs" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"address" text NOT NULL,
	"dwelling" jsonb NOT NULL,
	"settings" jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "openings" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"wall" text NOT NULL,
	"kind" text NOT NULL,
	"u" double precision NOT NULL,
	"v" double precision NOT NULL,
	"width" double precision NOT NULL,
	"height" double precision NOT NULL,
	CONSTRAINT "openings_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "pins" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"circuit" text NOT NULL,
	"from" text NOT NULL,
	"to" text NOT NULL,
	"legs" jsonb NOT NULL,
	CONSTRAINT "pins_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "points" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"label" text NOT NULL,
	"kind" text NOT NULL,
	"gang" integer NOT NULL,
	"place" jsonb NOT NULL,
	"mount" text NOT NULL,
	"box_depth" double precision NOT NULL,
	"controls" jsonb NOT NULL,
	"ways" integer NOT NULL,
	"name" text NOT NULL,
	CONSTRAINT "points_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "rooms" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"storey" text NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"outline" jsonb NOT NULL,
	"height" double precision NOT NULL,
	"start_wall" integer NOT NULL,
	CONSTRAINT "rooms_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "site_entries" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"run" text NOT NULL,
	"kind" text NOT NULL,
	"step" text,
	"text" text NOT NULL,
	"by" text NOT NULL,
	"at" text NOT NULL,
	"stored_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "site_entries_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "storeys" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"name" text NOT NULL,
	"level" double precision NOT NULL,
	"height" double precision NOT NULL,
	CONSTRAINT "storeys_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "walls" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"room" text NOT NULL,
	"index" integer NOT NULL,
	"build" text NOT NULL,
	"thickness" double precision NOT NULL,
	"insulated" boolean NOT NULL,
	"backing" text NOT NULL,
	"foil_backed" boolean NOT NULL,
	CONSTRAINT "walls_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
ALTER TABLE "circuits" ADD CONSTRAINT "circuits_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "decks" ADD CONSTRAINT "decks_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "drums" ADD CONSTRAINT "drums_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "edits" ADD CONSTRAINT "edits_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fixtures" ADD CONSTRAINT "fixtures_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "openings" ADD CONSTRAINT "openings_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pins" ADD CONSTRAINT "pins_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "points" ADD CONSTRAINT "points_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rooms" ADD CONSTRAINT "rooms_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site_entries" ADD CONSTRAINT "site_entries_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "storeys" ADD CONSTRAINT "storeys_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "walls" ADD CONSTRAINT "walls_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "site_entries_run" ON "site_entries" USING btree ("job_id","run");