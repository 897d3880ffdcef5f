ALTER TABLE "pictures" ALTER COLUMN "data" SET DEFAULT '';--> statement-breakpoint
ALTER TABLE "pictures" ADD COLUMN "content" bigint;--> statement-breakpoint
ALTER TABLE "pictures" ADD COLUMN "bytes" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "pictures" ADD COLUMN "sha256" text DEFAULT '' NOT NULL;--> statement-breakpoint
UPDATE "pictures" SET "content" = lo_from_bytea(0, decode("data", 'base64'))::bigint, "bytes" = length(decode("data", 'base64')), "sha256" = encode(sha256(decode("data", 'base64')), 'hex');
--> statement-breakpoint
UPDATE "pictures" SET "data" = '';
--> statement-breakpoint
CREATE FUNCTION drop_picture_object() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	IF OLD.content IS NOT NULL AND EXISTS (SELECT 1 FROM pg_largeobject_metadata WHERE oid = OLD.content::oid) THEN
		PERFORM lo_unlink(OLD.content::oid);
	END IF;
	RETURN NULL;
END $$;
--> statement-breakpoint
CREATE TRIGGER pictures_object AFTER DELETE ON "pictures" FOR EACH ROW EXECUTE FUNCTION drop_picture_object();
