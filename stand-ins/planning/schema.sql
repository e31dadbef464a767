-- The simulated planning system's own tables. Nobody else reads or writes them.
CREATE TABLE IF NOT EXISTS item (
    number text PRIMARY KEY,
    revision text NOT NULL,
    unit text NOT NULL,
    locked boolean NOT NULL DEFAULT false
);
ALTER TABLE item ADD COLUMN IF NOT EXISTS locked boolean NOT NULL DEFAULT false;
CREATE TABLE IF NOT EXISTS supply (
    id bigserial PRIMARY KEY,
    kind text NOT NULL,
    document text NOT NULL,
    item text NOT NULL,
    revision text NOT NULL,
    quantity numeric(18, 6) NOT NULL,
    unit text NOT NULL,
    unit_value numeric(18, 4) NOT NULL,
    due date,
    place text NOT NULL,
    status text NOT NULL
);
ALTER TABLE supply ADD COLUMN IF NOT EXISTS serial text NOT NULL DEFAULT '';
ALTER TABLE supply ADD COLUMN IF NOT EXISTS start date;
ALTER TABLE supply ADD COLUMN IF NOT EXISTS issued numeric(18, 6);
CREATE INDEX IF NOT EXISTS supply_document ON supply (document);
CREATE INDEX IF NOT EXISTS supply_item ON supply (item);
-- Its copy of structures, routings and item data; see Copy.
CREATE TABLE IF NOT EXISTS kept (
    id bigserial PRIMARY KEY,
    structure text NOT NULL,
    plant text NOT NULL,
    item text NOT NULL,
    revision text NOT NULL,
    part text NOT NULL,
    place text NOT NULL,
    component text NOT NULL,
    first_day text NOT NULL,
    says jsonb NOT NULL,
    key text COLLATE "C" GENERATED ALWAYS AS (structure || E'\t' || plant || E'\t' || item || E'\t' || revision || E'\t' || part || E'\t' || place || E'\t' || component
        || E'\t' || first_day || E'\t') STORED UNIQUE,
    UNIQUE (structure, plant, item, revision, part, place, component, first_day)
);
CREATE INDEX IF NOT EXISTS kept_item ON kept (item);
CREATE TABLE IF NOT EXISTS kept_revision (
    structure text NOT NULL,
    plant text NOT NULL,
    item text NOT NULL,
    revision text NOT NULL,
    effective_from date,
    until date,
    PRIMARY KEY (structure, plant, item, revision)
);
ALTER TABLE kept_revision ADD COLUMN IF NOT EXISTS key text COLLATE "C" GENERATED ALWAYS AS (structure || E'\t' || plant || E'\t' || item || E'\t' || revision || E'\t') STORED UNIQUE;
-- A digest of its rows, reckoned when it is asked for; whatever changes one of them takes it away.
ALTER TABLE kept_revision ADD COLUMN IF NOT EXISTS sha256 text;
CREATE INDEX IF NOT EXISTS kept_undigested ON kept_revision (key) WHERE sha256 IS NULL;
CREATE OR REPLACE FUNCTION kept_changes() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    UPDATE kept_revision r SET sha256 = NULL FROM changed c
    WHERE (r.structure, r.plant, r.item, r.revision) = (c.structure, c.plant, c.item, c.revision) AND r.sha256 IS NOT NULL;
    RETURN NULL;
END $$;
CREATE OR REPLACE TRIGGER kept_comes AFTER INSERT ON kept REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION kept_changes();
CREATE OR REPLACE TRIGGER kept_goes AFTER DELETE ON kept REFERENCING OLD TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION kept_changes();
CREATE OR REPLACE TRIGGER kept_was AFTER UPDATE ON kept REFERENCING OLD TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION kept_changes();
CREATE OR REPLACE TRIGGER kept_is AFTER UPDATE ON kept REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION kept_changes();
DROP TABLE IF EXISTS structure, plant_revision, plant_operation, plant_line, item_data;
CREATE TABLE IF NOT EXISTS hand_over (
    name text PRIMARY KEY,
    content_hash text NOT NULL,
    received_at timestamptz NOT NULL DEFAULT now(),
    times_received integer NOT NULL DEFAULT 1
);
CREATE TABLE IF NOT EXISTS hand_over_entry (
    name text NOT NULL REFERENCES hand_over,
    entry integer NOT NULL,
    answer text NOT NULL,
    reason text NOT NULL DEFAULT '',
    times_applied integer NOT NULL DEFAULT 0,
    PRIMARY KEY (name, entry)
);
CREATE TABLE IF NOT EXISTS behaviour (
    singleton boolean PRIMARY KEY DEFAULT true,
    mode text NOT NULL DEFAULT 'normal'
);
INSERT INTO behaviour DEFAULT VALUES ON CONFLICT DO NOTHING;

-- What it is told besides hand-overs.
CREATE TABLE IF NOT EXISTS told_event (
    id text PRIMARY KEY,
    type text NOT NULL,
    subject text NOT NULL,
    content text NOT NULL,
    received_at timestamptz NOT NULL DEFAULT now(),
    times integer NOT NULL DEFAULT 1
);
CREATE TABLE IF NOT EXISTS told_file (
    name text PRIMARY KEY,
    content text NOT NULL,
    received_at timestamptz NOT NULL DEFAULT now(),
    times integer NOT NULL DEFAULT 1
);
