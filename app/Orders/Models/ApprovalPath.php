<?php

declare(strict_types=1);

namespace App\Orders\Models;

use App\Orders\Paths\PathSteps;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Approval\Path;

/**
 * One version of a path on which orders are judged. It is never changed: an edit makes another version, and orders go on with theirs.
 *
 * @property int $id
 * @property string $code
 * @property int $version
 * @property string $name
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
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
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
}
