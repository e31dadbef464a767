<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The database is the guard of last resort: what is released cannot be changed through any door. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                CREATE FUNCTION refuse_released_lines() RETURNS trigger LANGUAGE plpgsql AS $$
                DECLARE
                    touched bigint;
                    state text;
                BEGIN
                    FOREACH touched IN ARRAY CASE TG_OP
                        WHEN 'INSERT' THEN ARRAY[NEW.revision_id]
                        WHEN 'DELETE' THEN ARRAY[OLD.revision_id]
                        ELSE ARRAY[OLD.revision_id, NEW.revision_id] END
                    LOOP
                        SELECT status INTO state FROM revisions WHERE id = touched FOR SHARE;
                        -- What the design model says of a released revision may come later; then it stays as well.
                        IF state NOT IN ('in_work', 'in_review') AND NOT (TG_OP = 'INSERT' AND NEW.kind = 'design') THEN
                            RAISE EXCEPTION 'The structure of a released revision never changes. Revise it under an order.'
                                USING ERRCODE = 'restrict_violation';
                        END IF;
                    END LOOP;
                    IF TG_OP <> 'DELETE' AND EXISTS (
                        SELECT 1 FROM structure_lines o
                        WHERE o.revision_id = NEW.revision_id AND o.kind = NEW.kind AND o.plant = NEW.plant AND o.line_key = NEW.line_key
                          AND o.id <> NEW.id AND daterange(o.valid_from, o.valid_to) && daterange(NEW.valid_from, NEW.valid_to)
                    ) THEN
                        RAISE EXCEPTION 'A line stands once on a day.' USING ERRCODE = 'exclusion_violation';
                    END IF;
                    RETURN COALESCE(NEW, OLD);
                END $$;
                CREATE TRIGGER released_lines BEFORE INSERT OR UPDATE OR DELETE ON structure_lines
                    FOR EACH ROW EXECUTE FUNCTION refuse_released_lines();

                CREATE FUNCTION refuse_released_revisions() RETURNS trigger LANGUAGE plpgsql AS $$
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
                    IF NEW.status = 'released' AND OLD.status <> 'released' THEN
                        IF OLD.status <> 'in_review' THEN
                            RAISE EXCEPTION 'Only a revision in review can be released.' USING ERRCODE = 'restrict_violation';
                        END IF;
                        IF EXISTS (SELECT 1 FROM revisions r WHERE r.item_id = NEW.item_id AND r.id <> NEW.id
                                   AND r.status IN ('released', 'superseded', 'obsolete'))
                           AND NOT EXISTS (SELECT 1 FROM change_orders o WHERE o.id = NEW.order_id AND o.state = 'signed') THEN
                            RAISE EXCEPTION 'A further revision is released by a signed order only.' USING ERRCODE = 'restrict_violation';
                        END IF;
                    ELSIF OLD.status IN ('released', 'superseded', 'obsolete') THEN
                        IF (NEW.item_id, NEW.code, NEW.iteration, NEW.effective_from, NEW.released_at, NEW.released_by, NEW.reason, NEW.order_id)
                           IS DISTINCT FROM (OLD.item_id, OLD.code, OLD.iteration, OLD.effective_from, OLD.released_at, OLD.released_by, OLD.reason, OLD.order_id)
                           OR NOT (NEW.status = OLD.status
                                   OR (OLD.status = 'released' AND NEW.status IN ('superseded', 'obsolete'))
                                   OR (OLD.status = 'superseded' AND NEW.status = 'obsolete'))
                           OR (NEW.effective_to IS DISTINCT FROM OLD.effective_to AND (OLD.effective_to IS NOT NULL OR NEW.status = OLD.status)) THEN
                            RAISE EXCEPTION 'A released revision never changes; it can only be superseded.' USING ERRCODE = 'restrict_violation';
                        END IF;
                    END IF;
                    RETURN NEW;
                END $$;
                CREATE TRIGGER released_revisions BEFORE INSERT OR UPDATE OR DELETE ON revisions
                    FOR EACH ROW EXECUTE FUNCTION refuse_released_revisions();

                CREATE FUNCTION refuse_edits_of_held_orders() RETURNS trigger LANGUAGE plpgsql AS $$
                DECLARE
                    held text;
                BEGIN
                    SELECT o.state INTO held FROM change_orders o JOIN change_order_items i ON i.order_id = o.id
                        WHERE i.id = COALESCE(NEW.order_item_id, OLD.order_item_id);
                    IF held <> 'revising' AND held <> 'planning' THEN
                        RAISE EXCEPTION 'The order is held still: its edits cannot change.' USING ERRCODE = 'restrict_violation';
                    END IF;
                    RETURN COALESCE(NEW, OLD);
                END $$;
                CREATE TRIGGER held_edits BEFORE INSERT OR UPDATE OR DELETE ON edits
                    FOR EACH ROW EXECUTE FUNCTION refuse_edits_of_held_orders();

                CREATE FUNCTION refuse_rewriting() RETURNS trigger LANGUAGE plpgsql AS $$
                BEGIN
                    RAISE EXCEPTION 'What is written in % stays as it is.', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
                END $$;
                CREATE TRIGGER ledger_stays BEFORE UPDATE OR DELETE ON ledger FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();
                CREATE TRIGGER ledger_whole BEFORE TRUNCATE ON ledger FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewriting();
                CREATE TRIGGER lines_whole BEFORE TRUNCATE ON structure_lines FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewriting();
                CREATE TRIGGER files_stay BEFORE UPDATE OR DELETE ON handover_files FOR EACH ROW EXECUTE FUNCTION refuse_rewriting();
            SQL
            ,
        );
    }
};
