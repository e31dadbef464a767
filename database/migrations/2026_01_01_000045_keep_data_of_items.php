<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What is known of an item changes under an order, from a day on; what was known before stays readable. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                ALTER TABLE contents DROP CONSTRAINT contents_kind;
                ALTER TABLE contents ADD CONSTRAINT contents_kind CHECK (kind IN ('design', 'engineering', 'manufacturing', 'item_data'));

                CREATE TABLE item_data (
                    content_id bigint NOT NULL REFERENCES contents ON DELETE CASCADE,
                    field text NOT NULL,
                    value text NOT NULL CHECK (value <> ''),
                    PRIMARY KEY (content_id, field)
                );
                COMMENT ON COLUMN item_data.field IS 'standard_cost; of a plant or an attribute: safety_stock@plant, attribute@name';

                CREATE FUNCTION refuse_released_data() RETURNS trigger LANGUAGE plpgsql AS $$
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
                            RAISE EXCEPTION 'Data of an item that are released never change. Change them under an order.'
                                USING ERRCODE = 'restrict_violation';
                        END IF;
                    END LOOP;
                    RETURN COALESCE(NEW, OLD);
                END $$;
                CREATE TRIGGER released_item_data BEFORE INSERT OR UPDATE OR DELETE ON item_data FOR EACH ROW EXECUTE FUNCTION refuse_released_data();
                CREATE TRIGGER item_data_whole BEFORE TRUNCATE ON item_data FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewriting();
            SQL
            ,
        );
    }
};
