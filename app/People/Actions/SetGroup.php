<?php

declare(strict_types=1);

namespace App\People\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\People\Events\GroupSet;
use App\People\Models\Group;
use App\People\Models\Person;
use Orthotaxis\Core\Refusal;

/** Adds a group of people, or gives it another name or other members. */
final readonly class SetGroup
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  ?int  $version  that was on screen; null: it is new
     * @param  list<string>  $members  sign-in names
     *
     * @throws Refusal when there is one with this code already
     * @throws Stale when somebody has changed it since that version
     */
    public function __invoke(Person $by, string $code, string $name, array $members, bool $retired, ?int $version): Group
    {
        return $this->ledger->together(static function () use ($by, $code, $name, $members, $retired, $version): Group {
            $group = Group::query()->where('code', $code)->lockForUpdate()->first();
            if ($version === null && $group !== null) {
                throw Refusal::at('code', "There is a group {$code} already.");
            }
            if ($version !== null) {
                $group ?? abort(404);
                if ($group->version !== $version) {
                    throw new Stale('Somebody has changed it meanwhile.', ['name' => $group->name]);
                }
            }
            $group ??= new Group(['code' => $code, 'version' => 0]);
            $group->fill(['name' => $name, 'retired' => $retired, 'version' => $group->version + 1])->save();
            $group->members()->sync(Person::query()->whereIn('login', $members)->pluck('id')->all());
            event(new GroupSet($by->login, $code, $name, $members, $retired));

            return $group;
        });
    }
}
