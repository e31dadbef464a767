<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use App\Vocabulary\ChoiceList;
use Illuminate\Http\Request;
use Orthotaxis\Core\Refusal;

/** The plant that a question names, if it names one. */
final readonly class AskedPlant
{
    /**
     * @return ?string null: none is asked for
     *
     * @throws Refusal when there is no such plant
     */
    public static function of(Request $request): ?string
    {
        $request->validate(['plant' => 'nullable|string|max:40']);
        $plant = $request->string('plant')->toString();

        return match (true) {
            $plant === '' => null,
            ChoiceList::Site->knows($plant) => $plant,
            default => throw Refusal::at('plant', "There is no plant {$plant}."),
        };
    }
}
