<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * The sheets that a signature covers are held as the edits are: while an order that releases them is in review or signed they
 * neither come, go nor change, through any door. A sheet of one order is none of another's business; one that came before any
 * order had its item is held by every order that releases the item.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                CREATE FUNCTION refuse_files_of_held_orders() RETURNS trigger LANGUAGE plpgsql AS $$
                DECLARE
                    file item_files;
                    held text;
                BEGIN
                    -- What the release itself does: the draft becomes the sheet of the new revision.
                    IF TG_OP = 'UPDATE' AND OLD.revision_id IS NULL AND NEW.revision_id IS NOT NULL
                       AND (NEW.sha256, NEW.file_id, NEW.role, NEW.name, NEW.item_id) IS NOT DISTINCT FROM (OLD.sha256, OLD.file_id, OLD.role, OLD.name, OLD.item_id) THEN
                        RETURN NEW;
                    END IF;
                    FOREACH file IN ARRAY CASE TG_OP WHEN 'INSERT' THEN ARRAY[NEW] WHEN 'DELETE' THEN ARRAY[OLD] ELSE ARRAY[OLD, NEW] END
                    LOOP
                        IF file.role = 'sheet' AND file.revision_id IS NULL THEN
                            SELECT o.number INTO held FROM change_orders o JOIN change_order_items i ON i.order_id = o.id
                                WHERE i.item_id = file.item_id AND i.outcome = 'revise' AND o.state IN ('in_review', 'signed')
                                  AND (file.order_id IS NULL OR o.id = file.order_id) LIMIT 1;
                            IF held IS NOT NULL THEN
                                RAISE EXCEPTION '% is locked: its sheets cannot change.', held USING ERRCODE = 'restrict_violation';
                            END IF;
                        END IF;
                    END LOOP;
                    RETURN COALESCE(NEW, OLD);
                END $$;
                CREATE TRIGGER held_files BEFORE INSERT OR UPDATE OR DELETE ON item_files
                    FOR EACH ROW EXECUTE FUNCTION refuse_files_of_held_orders();
            SQL
            ,
        );
    }
};
