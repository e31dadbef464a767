<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The sheets of drawings and documents, data sheets of bought parts, and which document describes which item. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('item_files', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('item_id')->constrained('items');
            $table->foreignId('revision_id')->nullable()->comment('empty until the coming revision is released')->constrained('revisions');
            $table
                ->foreignId('order_id')
                ->nullable()
                ->comment('under which the coming revision is worked on')
                ->constrained('change_orders');
            $table->string('role', 20);
            $table->string('name', 200);
            $table->string('media_type', 60);
            $table->unsignedInteger('bytes');
            $table->string('sha256', 64);
            $table->boolean('carries_script')->default(false);
            $table->foreignUuid('file_id')->constrained('stored_files');
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->timestampTz('brought_at')->useCurrent();
            $table->index(['item_id', 'revision_id']);
        });
        DB::statement("ALTER TABLE item_files ADD CONSTRAINT item_files_role CHECK (role IN ('sheet','data_sheet','picture'))");

        Schema::create('item_documents', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('item_id')->constrained('items');
            $table->foreignId('document_id')->constrained('items');
            $table
                ->foreignId('shows_revision_id')
                ->nullable()
                ->comment('the revision of the item that the document shows')
                ->constrained('revisions');
            $table
                ->foreignId('adopting_order_id')
                ->nullable()
                ->comment('whose release makes it show the newest')
                ->constrained('change_orders');
            $table->unique(['item_id', 'document_id']);
            $table->index('document_id');
        });

        DB::unprepared(
            <<<'SQL'
                CREATE FUNCTION refuse_released_files() RETURNS trigger LANGUAGE plpgsql AS $$
                BEGIN
                    IF OLD.revision_id IS NOT NULL THEN
                        RAISE EXCEPTION 'A file of a revision stays with it for ever.' USING ERRCODE = 'restrict_violation';
                    END IF;
                    RETURN COALESCE(NEW, OLD);
                END $$;
                CREATE TRIGGER released_files BEFORE UPDATE OR DELETE ON item_files FOR EACH ROW EXECUTE FUNCTION refuse_released_files();
            SQL
            ,
        );
    }
};
