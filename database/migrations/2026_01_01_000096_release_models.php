<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A design model is a file of its item, signed and released with the revision as the sheet is. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                ALTER TABLE item_files DROP CONSTRAINT item_files_role;
                ALTER TABLE item_files ADD CONSTRAINT item_files_role CHECK (role IN ('sheet', 'data_sheet', 'picture', 'model'));
                CREATE OR REPLACE FUNCTION refuse_files_of_held_orders() RETURNS trigger LANGUAGE plpgsql AS $$
                DECLARE
                    file item_files;
                    held text;
                BEGIN
                    -- What the release itself does: the draft becomes the file of the new revision.
                    IF TG_OP = 'UPDATE' AND OLD.revision_id IS NULL AND NEW.revision_id IS NOT NULL
                       AND (NEW.sha256, NEW.file_id, NEW.role, NEW.name, NEW.item_id) IS NOT DISTINCT FROM (OLD.sha256, OLD.file_id, OLD.role, OLD.name, OLD.item_id) THEN
                        RETURN NEW;
                    END IF;
                    FOREACH file IN ARRAY CASE TG_OP WHEN 'INSERT' THEN ARRAY[NEW] WHEN 'DELETE' THEN ARRAY[OLD] ELSE ARRAY[OLD, NEW] END
                    LOOP
                        IF file.role IN ('sheet', 'model') AND file.revision_id IS NULL THEN
                            SELECT o.number INTO held FROM change_orders o JOIN change_order_items i ON i.order_id = o.id
                                WHERE i.item_id = file.item_id AND i.outcome = 'revise' AND o.state IN ('in_review', 'signed')
                                  AND (file.order_id IS NULL OR o.id = file.order_id) LIMIT 1;
                            IF held IS NOT NULL THEN
                                RAISE EXCEPTION '% is locked: its sheets and models cannot change.', held USING ERRCODE = 'restrict_violation';
                            END IF;
                        END IF;
                    END LOOP;
                    RETURN COALESCE(NEW, OLD);
                END $$;
            SQL
            ,
        );
    }
};
