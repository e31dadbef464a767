<?php

declare(strict_types=1);

namespace App\Forms\Data;

use App\Forms\ReturnedFile;
use App\Http\Api\ListOf;
use App\People\Models\Group;
use App\People\Models\Person;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Form\Proposal;

/** What taking a form in would do; nothing is done yet. */
#[OA\Schema]
final readonly class FormPreview
{
    /** @param  list<ProposalRow>  $proposals */
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $template,
        #[OA\Property] public string $handed_at,
        #[OA\Property(description: 'of the request that was looked at')] public int $version,
        #[ListOf(ProposalRow::class)] public array $proposals,
    ) {}

    public static function of(ReturnedFile $returned, int $version): self
    {
        $form = $returned->form;
        $asked = array_filter(
            array_map(
                static fn(Proposal $proposal): ?string => $proposal->question->to ?? ($proposal->task->to ?? null),
                $returned->proposals,
            ),
        );
        /** @var array<string, string> $names */
        $names = Person::query()->whereIn('login', $asked)->pluck('name', 'login')->all();
        foreach (Group::query()->pluck('name', 'code') as $code => $name) {
            $names["group:{$code}"] = (string) $name;
        }

        return new self(
            $form->number,
            $form->template->name,
            $form->handed_at->toIso8601String(),
            $version,
            array_map(static fn(Proposal $proposal): ProposalRow => ProposalRow::of($proposal, $names), $returned->proposals),
        );
    }
}
