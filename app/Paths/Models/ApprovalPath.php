<?php

declare(strict_types=1);

namespace App\Paths\Models;

use App\Paths\Judges;
use App\Paths\PathSteps;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Approval\Path;

/**
 * One version of a path on which changes are judged. It is never changed: an edit makes another version, and changes go on with theirs.
 *
 * @property int $id
 * @property string $code
 * @property int $version
 * @property string $name
 * @property Judges $judges
 * @property list<array<string, mixed>> $steps
 * @property list<array<string, mixed>> $tasks
 * @property bool $sends_itself to review, when the last task before is done
 * @property ?list<array{fact: string, values: list<string>}> $chosen_when conditions that all hold where a rule chooses it; null: by hand
 * @property int $rank of several whose rule holds the one with the least is chosen
 * @property bool $retired whether it is offered no longer
 * @property int $made_by
 * @property CarbonImmutable $made_at
 */
final class ApprovalPath extends Model
{
    /** Stands where a path is chosen for the choice by rule. */
    public const BY_RULE = 'rule';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'judges' => Judges::class,
        'steps' => 'array',
        'tasks' => 'array',
        'sends_itself' => 'boolean',
        'chosen_when' => 'array',
        'retired' => 'boolean',
        'made_at' => 'immutable_datetime',
    ];

    public function path(): Path
    {
        return PathSteps::read($this->steps, $this->tasks, $this->sends_itself);
    }

    /** @return Builder<self> the newest version of each */
    public static function newest(): Builder
    {
        return self::query()->whereIn('id', self::query()->selectRaw('max(id)')->groupBy('code'));
    }

    /** @return Builder<self> the newest version of each that can be chosen */
    public static function offered(Judges $for): Builder
    {
        return self::newest()->where('judges', $for->value)->where('retired', false);
    }
}
