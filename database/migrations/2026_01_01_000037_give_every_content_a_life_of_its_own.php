<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Lines hang on a content, and no longer on the engineering revision: what engineering declares of an item, what its design model says
 * and what each plant builds are revised apart, and each holds on days of its own. The engineering content is the revision of the
 * item, so the view "revisions" shows just these.
 */
return new class extends Migration {
    private const GUARDED = ['contents', 'structure_lines'];

    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                ALTER TABLE revisions RENAME TO contents;
                ALTER SEQUENCE revisions_id_seq RENAME TO contents_id_seq;
                ALTER TABLE contents
                    ADD COLUMN kind varchar(20) NOT NULL DEFAULT 'engineering',
                    ADD COLUMN plant varchar(20) NOT NULL DEFAULT '',
                    ADD COLUMN builds_id bigint REFERENCES contents (id),
                    ADD CONSTRAINT contents_kind CHECK (kind IN ('design', 'engineering', 'manufacturing')),
                    ADD CONSTRAINT contents_of_revision CHECK (kind <> 'engineering' OR plant = '' AND builds_id IS NULL);
                COMMENT ON COLUMN contents.builds_id IS 'the revision of the item that it was drawn or planned for';
                CREATE INDEX contents_builds ON contents (builds_id) WHERE builds_id IS NOT NULL;

                ALTER TABLE contents DROP CONSTRAINT revisions_item_id_code_unique, DROP CONSTRAINT revisions_one_on_a_day;
                DROP INDEX revisions_one_released;
                ALTER TABLE contents RENAME CONSTRAINT revisions_status TO contents_status;
                ALTER TABLE contents RENAME CONSTRAINT revisions_dated TO contents_dated;
                ALTER TABLE contents RENAME CONSTRAINT revisions_hold TO contents_hold;
                ALTER TABLE contents
                    ADD CONSTRAINT contents_code_once UNIQUE (item_id, kind, plant, code),
                    ADD CONSTRAINT contents_one_on_a_day EXCLUDE USING gist (item_id WITH =, kind WITH =, plant WITH =,
                        daterange(effective_from, effective_to) WITH &&) WHERE (status IN ('released', 'superseded', 'obsolete'));
                CREATE UNIQUE INDEX contents_one_released ON contents (item_id, kind, plant) WHERE status = 'released';
            SQL
            ,
        );
        self::eachOfItsOwn();
        self::guards();
        DB::statement("CREATE VIEW revisions AS
            SELECT id, item_id, code, status, iteration, effective_from, effective_to, order_id, released_by, released_at, reason, created_at
            FROM contents WHERE kind = 'engineering'");
    }

    /** The lines that a revision had of another kind become a content that holds on the days of the revision. */
    private static function eachOfItsOwn(): void
    {
        foreach (self::GUARDED as $table) {
            DB::statement("ALTER TABLE {$table} DISABLE TRIGGER USER");
        }
        DB::unprepared(
            <<<'SQL'
                ALTER TABLE structure_lines RENAME COLUMN revision_id TO content_id;
                INSERT INTO contents (item_id, kind, plant, builds_id, code, status, iteration, effective_from, effective_to, order_id, released_by, released_at, reason, created_at)
                    SELECT r.item_id, l.kind, l.plant, r.id, r.code, r.status, r.iteration, r.effective_from, r.effective_to, r.order_id, r.released_by, r.released_at, r.reason, r.created_at
                    FROM (SELECT DISTINCT content_id, kind, plant FROM structure_lines WHERE kind <> 'engineering') l JOIN contents r ON r.id = l.content_id
                    ORDER BY r.id, l.kind, l.plant;
                UPDATE structure_lines l SET content_id = c.id FROM contents c
                    WHERE l.kind <> 'engineering' AND c.builds_id = l.content_id AND c.kind = l.kind AND c.plant = l.plant;

                ALTER TABLE structure_lines DROP CONSTRAINT structure_lines_once_on_a_day, DROP COLUMN kind, DROP COLUMN plant;
                ALTER TABLE structure_lines RENAME CONSTRAINT structure_lines_revision_id_foreign TO structure_lines_content_id_foreign;
                CREATE UNIQUE INDEX structure_lines_once ON structure_lines (content_id, line_key, valid_from) NULLS NOT DISTINCT;
                ALTER TABLE structure_lines ADD CONSTRAINT structure_lines_once_on_a_day EXCLUDE USING gist (content_id WITH =, line_key WITH =,
                    daterange(valid_from, valid_to) WITH &&) WHERE (valid_from IS NOT NULL OR valid_to IS NOT NULL);
                CREATE INDEX structure_lines_component ON structure_lines (component_id);
            SQL
            ,
        );
        foreach (self::GUARDED as $table) {
            DB::statement("ALTER TABLE {$table} ENABLE TRIGGER USER");
        }
    }

    private static function guards(): void
    {
        DB::unprepared(
            <<<'SQL'
                CREATE OR REPLACE FUNCTION refuse_released_lines() RETURNS trigger LANGUAGE plpgsql AS $$
                DECLARE
                    touched bigint;
                    state text;
                BEGIN
                    FOREACH touched IN ARRAY CASE TG_OP
                        WHEN 'INSERT' THEN ARRAY[NEW.content_id]
                        WHEN 'DELETE' THEN ARRAY[OLD.content_id]
                        ELSE ARRAY[OLD.content_id, NEW.content_id] END
                    LOOP
                        SELECT status INTO state FROM contents WHERE id = touched FOR SHARE;
                        IF state NOT IN ('in_work', 'in_review') THEN
                            RAISE EXCEPTION 'The structure of a released revision never changes. Revise it under an order.'
                                USING ERRCODE = 'restrict_violation';
                        END IF;
                    END LOOP;
                    IF TG_OP <> 'DELETE' AND EXISTS (
                        SELECT 1 FROM structure_lines o
                        WHERE o.content_id = NEW.content_id AND o.line_key = NEW.line_key
                          AND o.id <> NEW.id AND daterange(o.valid_from, o.valid_to) && daterange(NEW.valid_from, NEW.valid_to)
                    ) THEN
                        RAISE EXCEPTION 'A line stands once on a day.' USING ERRCODE = 'exclusion_violation';
                    END IF;
                    RETURN COALESCE(NEW, OLD);
                END $$;

                ALTER TRIGGER released_revisions ON contents RENAME TO released_contents;
                ALTER FUNCTION refuse_released_revisions() RENAME TO refuse_released_contents;
                CREATE OR REPLACE FUNCTION refuse_released_contents() RETURNS trigger LANGUAGE plpgsql AS $$
                BEGIN
                    IF TG_OP = 'INSERT' THEN
                        IF NEW.status NOT IN ('in_work', 'in_review') THEN
                            RAISE EXCEPTION 'A revision begins in work and is released afterwards.' USING ERRCODE = 'restrict_violation';
                        END IF;
                        RETURN NEW;
                    END IF;
                    IF TG_OP = 'DELETE' THEN
                        IF OLD.status NOT IN ('in_work', 'in_review') THEN
                            RAISE EXCEPTION 'A released revision stays for ever.' USING ERRCODE = 'restrict_violation';
                        END IF;
                        RETURN OLD;
                    END IF;
                    IF (NEW.item_id, NEW.kind, NEW.plant) IS DISTINCT FROM (OLD.item_id, OLD.kind, OLD.plant) THEN
                        RAISE EXCEPTION 'What a revision is of never changes.' USING ERRCODE = 'restrict_violation';
                    END IF;
                    IF NEW.status = 'released' AND OLD.status <> 'released' THEN
                        IF OLD.status <> 'in_review' THEN
                            RAISE EXCEPTION 'Only a revision in review can be released.' USING ERRCODE = 'restrict_violation';
                        END IF;
                        -- What a design model says is taken over from where it is drawn, and needs no order here.
                        IF NEW.kind <> 'design'
                           AND EXISTS (SELECT 1 FROM contents c WHERE (c.item_id, c.kind, c.plant) = (NEW.item_id, NEW.kind, NEW.plant) AND c.id <> NEW.id
                                       AND c.status IN ('released', 'superseded', 'obsolete'))
                           AND NOT EXISTS (SELECT 1 FROM change_orders o WHERE o.id = NEW.order_id AND o.state = 'signed') THEN
                            RAISE EXCEPTION 'A further revision is released by a signed order only.' USING ERRCODE = 'restrict_violation';
                        END IF;
                    ELSIF OLD.status IN ('released', 'superseded', 'obsolete') THEN
                        IF (NEW.code, NEW.builds_id, NEW.iteration, NEW.effective_from, NEW.released_at, NEW.released_by, NEW.reason, NEW.order_id)
                           IS DISTINCT FROM (OLD.code, OLD.builds_id, OLD.iteration, OLD.effective_from, OLD.released_at, OLD.released_by, OLD.reason, OLD.order_id)
                           OR NOT (NEW.status = OLD.status
                                   OR (OLD.status = 'released' AND NEW.status IN ('superseded', 'obsolete'))
                                   OR (OLD.status = 'superseded' AND NEW.status = 'obsolete'))
                           OR (NEW.effective_to IS DISTINCT FROM OLD.effective_to AND (OLD.effective_to IS NOT NULL OR NEW.status = OLD.status)) THEN
                            RAISE EXCEPTION 'A released revision never changes; it can only be superseded.' USING ERRCODE = 'restrict_violation';
                        END IF;
                    END IF;
                    RETURN NEW;
                END $$;
            SQL
            ,
        );
    }
};
