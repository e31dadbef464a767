<?php

declare(strict_types=1);

namespace App\Orders\Sheet;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\LineReader;
use Orthotaxis\Core\Structure\Structure;

/**
 * What an order and its lines read like when somebody took them away.
 *
 * @property string $id
 * @property ?int $order_id  null: of an order that does not exist yet
 * @property int $person_id
 * @property CarbonImmutable $taken_at
 * @property array<string, array<string, array<value-of<LineField>, string>>> $lines  texts of fields by subject and line
 * @property array<string, string> $head  what stood above the lines, by name
 * @property ?string $marked_id
 */
final class OrderSheet extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $casts = ['taken_at' => 'immutable_datetime', 'lines' => 'array', 'head' => 'array'];

    /** @return array<string, Structure> by subject */
    public function structures(): array
    {
        $reader = new LineReader();
        $structures = [];
        foreach ($this->lines as $subject => $lines) {
            $read = [];
            foreach ($lines as $key => $texts) {
                $read[] = $reader->read((string) $key, $texts);
            }
            $structures[$subject] = new Structure($read);
        }

        return $structures;
    }

    /**
     * What was brought last, its bad cells marked.
     *
     * @throws Refusal when nothing was marked
     */
    public function markedFile(string $of): Response
    {
        if ($this->marked_id === null) {
            throw Refusal::at('sheet', 'It has no marked errors.');
        }

        return new Response((string) stream_get_contents(DB::table('stored_files')->where('id', $this->marked_id)->value('content')), 200, [
            'Content-Type' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
            'Content-Disposition' => "attachment; filename={$of}-marked.xlsx",
        ]);
    }
}
