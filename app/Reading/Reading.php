<?php

declare(strict_types=1);

namespace App\Reading;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;

/**
 * A request that brings a file, and what a worker answered to it.
 *
 * @property string $id
 * @property int $person_id
 * @property string $address path and query
 * @property array<array-key, mixed> $input its fields other than files
 * @property list<array{field: string, name: string, id: string}> $files ids of stored files
 * @property ?int $status of the answer; null while there is none
 * @property ?string $answer JSON
 * @property CarbonImmutable $asked_at
 * @property ?CarbonImmutable $ended_at
 * @property-read Person $person
 */
final class Reading extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $casts = ['input' => 'array', 'files' => 'array', 'asked_at' => 'immutable_datetime', 'ended_at' => 'immutable_datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** The first answer counts; the files as they were brought are not needed any more. */
    public function end(int $status, string $answer): void
    {
        $ended = self::query()
            ->where('id', $this->id)
            ->whereNull('ended_at')
            ->update(['status' => $status, 'answer' => $answer, 'ended_at' => CarbonImmutable::now()]);
        if ($ended > 0) {
            DB::table('stored_files')->whereIn('id', array_column($this->files, 'id'))->delete();
        }
    }

    public function refuse(string $reason): void
    {
        $this->end(422, (string) json_encode(['message' => $reason, 'errors' => ['file' => [$reason]]], JSON_UNESCAPED_UNICODE));
    }
}
