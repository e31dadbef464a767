<?php

declare(strict_types=1);

namespace App\Forms\Models;

use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Form\FormState;
use Orthotaxis\Core\Refusal;

/**
 * A form that was handed out, filled from a request.
 *
 * @property int $id
 * @property string $number
 * @property string $code
 * @property int $request_id
 * @property int $template_id
 * @property string $template_sha256
 * @property string $file_id
 * @property array<string, string> $handed
 * @property FormState $state
 * @property int $handed_by
 * @property CarbonImmutable $handed_at
 * @property ?int $settled_by
 * @property ?CarbonImmutable $settled_at
 * @property ?array{fields: array<string, array{string, string}>, finding: string, questions: list<int>, files: list<string>,
 *     form: ?string, tasks?: list<string>, told: list<string>} $taken
 * @property-read ChangeRequest $request
 * @property-read FormTemplate $template
 * @property-read Person $handedBy
 * @property-read ?Person $settledBy
 */
final class HandedForm extends Model
{
    /** How it is written in the file. */
    public const CODE = '/\b[A-Z]{1,9}-\d{1,12}-[0-9a-f]{12}\b/';

    public $timestamps = false;

    protected $casts = [
        'handed' => 'array',
        'taken' => 'array',
        'state' => FormState::class,
        'handed_at' => 'immutable_datetime',
        'settled_at' => 'immutable_datetime',
    ];

    /** Held for this transaction, with its request: whatever is done about a form takes turns by the request. */
    public static function hold(string $number): self
    {
        $request = self::query()->where('number', $number)->value('request_id') ?? throw Refusal::at('form', "There is no form {$number}.");
        ChangeRequest::query()->whereKey($request)->lockForUpdate()->firstOrFail();

        return self::query()->with('request')->where('number', $number)->firstOrFail();
    }

    /** @return BelongsTo<ChangeRequest, $this> */
    public function request(): BelongsTo
    {
        return $this->belongsTo(ChangeRequest::class);
    }

    /** @return BelongsTo<FormTemplate, $this> */
    public function template(): BelongsTo
    {
        return $this->belongsTo(FormTemplate::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function handedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'handed_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function settledBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'settled_by');
    }
}
