CREATE FUNCTION tell_of_job() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	PERFORM pg_notify('lumbet', TG_ARGV[0] || ':' || CASE WHEN TG_TABLE_NAME = 'jobs' THEN to_jsonb(NEW)->>'id' ELSE to_jsonb(NEW)->>'job_id' END);
	RETURN NULL;
END $$;
--> statement-breakpoint
CREATE TRIGGER edits_told AFTER INSERT ON "edits" FOR EACH ROW EXECUTE FUNCTION tell_of_job('job');
--> statement-breakpoint
CREATE TRIGGER site_entries_told AFTER INSERT ON "site_entries" FOR EACH ROW EXECUTE FUNCTION tell_of_job('record');
--> statement-breakpoint
CREATE TRIGGER jobs_told AFTER UPDATE OF "deleted_at" ON "jobs" FOR EACH ROW EXECUTE FUNCTION tell_of_job('job');
