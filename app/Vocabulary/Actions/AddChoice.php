<?php

declare(strict_types=1);

namespace App\Vocabulary\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Vocabulary\ChoiceList;
use App\Vocabulary\Events\ChoiceAdded;
use App\Vocabulary\Models\Choice;
use Orthotaxis\Core\Refusal;

final readonly class AddChoice
{
    public function __construct(private Ledger $ledger) {}

    /** @throws Refusal when the list has the code already, whatever its capitals */
    public function __invoke(Person $by, ChoiceList $list, string $code, string $name): Choice
    {
        return $this->ledger->together(function () use ($by, $list, $code, $name): Choice {
            $there = Choice::query()
                ->where('list', $list->value)
                ->whereRaw('lower(code) = ?', [mb_strtolower($code)])
                ->value('code');
            if ($there !== null) {
                throw Refusal::at('code', "There is {$there} in this list already.");
            }
            $choice = Choice::query()->create(['list' => $list->value, 'code' => $code, 'name' => $name]);
            event(new ChoiceAdded($by->login, "{$list->value} {$code}", $name));

            return $choice->refresh();
        });
    }
}
