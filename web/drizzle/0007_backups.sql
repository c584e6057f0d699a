CREATE TABLE "backups" (
	"at" timestamp (3) with time zone PRIMARY KEY DEFAULT now() NOT NULL,
	"bytes" bigint NOT NULL
);
