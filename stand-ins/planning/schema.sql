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
CREATE TABLE IF NOT EXISTS structure (
    item text NOT NULL,
    find integer NOT NULL,
    component text NOT NULL,
    quantity numeric(18, 6) NOT NULL,
    unit text NOT NULL,
    revision text NOT NULL,
    effective_from date NOT NULL,
    PRIMARY KEY (item, find, revision)
);
CREATE TABLE IF NOT EXISTS plant_revision (
    plant text NOT NULL,
    item text NOT NULL,
    revision text NOT NULL,
    batch numeric(18, 6),
    effective_from date NOT NULL,
    PRIMARY KEY (plant, item, revision)
);
CREATE TABLE IF NOT EXISTS plant_operation (
    plant text NOT NULL,
    item text NOT NULL,
    revision text NOT NULL,
    place integer NOT NULL,
    title text NOT NULL,
    work_centre text,
    set_up numeric(18, 3),
    run numeric(18, 3),
    run_per text,
    supplier text,
    cost numeric(18, 4),
    lead_time integer,
    PRIMARY KEY (plant, item, revision, place)
);
CREATE TABLE IF NOT EXISTS plant_line (
    plant text NOT NULL,
    item text NOT NULL,
    revision text NOT NULL,
    place integer NOT NULL,
    component text NOT NULL,
    quantity numeric(18, 6) NOT NULL,
    unit text NOT NULL,
    operation integer,
    scrap numeric(9, 4),
    phantom text NOT NULL DEFAULT '',
    by_product text NOT NULL DEFAULT '',
    PRIMARY KEY (plant, item, revision, place)
);
ALTER TABLE plant_line ADD COLUMN IF NOT EXISTS by_product text NOT NULL DEFAULT '';
CREATE TABLE IF NOT EXISTS item_data (
    item text NOT NULL,
    revision text NOT NULL,
    field text NOT NULL,
    of_what text NOT NULL DEFAULT '',
    value text NOT NULL,
    effective_from date NOT NULL,
    PRIMARY KEY (item, revision, field, of_what)
);
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
