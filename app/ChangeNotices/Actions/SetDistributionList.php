<?php

declare(strict_types=1);

namespace App\ChangeNotices\Actions;

use App\ChangeNotices\Events\DistributionListSet;
use App\ChangeNotices\Models\DistributionList;
use App\ChangeNotices\RecipientReader;
use App\Http\Stale;
use App\Ledger\Ledger;
use App\People\Models\Person;
use Orthotaxis\Core\Refusal;

/** Adds a distribution list, or sets one. What was issued already went to whom it went. */
final readonly class SetDistributionList
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  array{name: string, plants: list<string>, products: list<string>, categories: list<string>, recipients: list<string>,
     *     acknowledge: bool, days: ?int, retired: bool}  $said
     * @param  ?int  $version  that was on screen; null: it is new
     *
     * @throws Refusal when there is one with this code already, or a recipient is nobody
     * @throws Stale when somebody has set it since that version
     */
    public function set(Person $by, string $code, array $said, ?int $version): DistributionList
    {
        return $this->ledger->together(static function () use ($by, $code, $said, $version): DistributionList {
            $list = DistributionList::query()->where('code', $code)->lockForUpdate()->first();
            if ($version === null && $list !== null) {
                throw Refusal::at('code', "There is a distribution list {$code} already.");
            }
            if ($version !== null) {
                $list ?? abort(404);
                if ($list->version !== $version) {
                    throw new Stale('Somebody has changed it meanwhile.', ['name' => $list->name]);
                }
            }
            $known = RecipientReader::people($said['recipients']);
            foreach ($said['recipients'] as $at => $name) {
                isset($known[$name]) || throw Refusal::at("recipients.{$at}", 'There is no such person or group.');
            }
            $list ??= new DistributionList(['code' => $code, 'version' => 0]);
            $list->fill([...$said, 'version' => $list->version + 1])->save();
            event(
                new DistributionListSet(
                    $by->login,
                    $code,
                    list: $said['name'],
                    plants: $said['plants'],
                    products: $said['products'],
                    categories: $said['categories'],
                    recipients: $said['recipients'],
                    acknowledge: $said['acknowledge'],
                    days: $said['days'],
                    retired: $said['retired'],
                ),
            );

            return $list;
        });
    }
}
