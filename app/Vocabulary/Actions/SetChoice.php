<?php

declare(strict_types=1);

namespace App\Vocabulary\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Vocabulary\Events\ChoiceSet;
use App\Vocabulary\Models\Choice;

final readonly class SetChoice
{
    public function __construct(private Ledger $ledger) {}

    /** @throws Stale when somebody has changed it since that version */
    public function __invoke(Person $by, string $list, string $code, string $name, bool $retired, int $version): Choice
    {
        return $this->ledger->together(function () use ($by, $list, $code, $name, $retired, $version): Choice {
            $choice = Choice::query()->where('list', $list)->where('code', $code)->lockForUpdate()->firstOrFail();
            if ($choice->version !== $version) {
                throw new Stale('Somebody has changed it meanwhile.', ['name' => $choice->name]);
            }
            $choice->update(['name' => $name, 'retired' => $retired, 'version' => $version + 1]);
            event(new ChoiceSet($by->login, "{$list} {$code}", $name, $retired));

            return $choice;
        });
    }
}
