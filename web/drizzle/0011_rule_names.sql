-- Rules have American spelling since version 12 of the job format; stored rule sets get the names of now.
UPDATE "rule_set_versions"
SET "rules" = replace(replace("rules"::text, '"tyre/', '"tire/'), '"props/', '"stands/')::json
WHERE "rules"::text ~ '"(tyre|props)/';
