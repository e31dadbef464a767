<?php

declare(strict_types=1);

namespace App\Forms\Models;

use App\Files\StoredFile;
use App\Forms\Data\MappingRow;
use App\Forms\Docx\Package;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Form\FormSheet;
use Orthotaxis\Core\Form\Mapping;

/**
 * A document with content controls, and what each of them means.
 *
 * @property int $id
 * @property string $name
 * @property list<string> $reasons
 * @property string $file_name
 * @property string $file_id
 * @property string $sha256
 * @property list<array{tag: string, kind: string, title: string}> $controls
 * @property list<array<string, mixed>> $mapping
 * @property bool $offered
 * @property CarbonImmutable $file_changed_at
 * @property int $version
 */
final class FormTemplate extends Model
{
    public $timestamps = false;

    protected $casts = [
        'reasons' => 'array',
        'controls' => 'array',
        'mapping' => 'array',
        'offered' => 'boolean',
        'file_changed_at' => 'immutable_datetime',
    ];

    public function sheet(): FormSheet
    {
        return StoredFile::with($this->file_id, static fn(string $path): FormSheet => FormSheet::read(Package::open($path)->body()));
    }

    /** @return list<Mapping> */
    public function mappings(): array
    {
        return array_map(static fn(array $row): Mapping => MappingRow::read($row)->mapping(), $this->mapping);
    }
}
