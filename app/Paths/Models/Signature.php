<?php

declare(strict_types=1);

namespace App\Paths\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Approval\PathAct;
use Orthotaxis\Core\Approval\PathActKind;

/**
 * @property int $id
 * @property ?int $order_id
 * @property ?int $request_id one of the two
 * @property int $person_id
 * @property string $meaning what was done: a PathActKind
 * @property int $step of its path
 * @property ?int $for_id for whom a stand-in signed
 * @property int $stage to which it was sent back; 0: to the editor
 * @property list<string> $given_to whom the step was given to
 * @property list<string> $checks rows of the check list of its step, all ticked
 * @property string $said what the signature means
 * @property string $reason
 * @property string $digest of the content that it covers
 * @property CarbonImmutable $signed_at
 * @property bool $void
 * @property-read Person $person
 * @property-read ?Person $for
 */
final class Signature extends Model
{
    public $timestamps = false;

    protected $casts = ['signed_at' => 'immutable_datetime', 'void' => 'boolean', 'given_to' => 'array', 'checks' => 'array'];

    /** As its path is replayed from it. */
    public function act(): PathAct
    {
        return match (PathActKind::from($this->meaning)) {
            PathActKind::Signed => PathAct::signed($this->step, $this->person_id, $this->for_id),
            PathActKind::Skipped => PathAct::skipped($this->step),
            PathActKind::Reassigned => PathAct::reassigned($this->step, $this->given_to),
            PathActKind::SentBack => PathAct::sentBack($this->step, $this->stage),
        };
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function for(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'for_id');
    }
}
