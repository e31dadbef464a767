<?php

declare(strict_types=1);

namespace App\People\Actions;

use App\People\Ability;
use App\People\Models\Person;
use App\People\Models\Role;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Refusal;

/** Whoever manages people could take the right from everybody, themselves included; then nobody could give it back. */
final readonly class ManagersStay
{
    /** @return Collection<int, Role> all; who else sets people or roles waits, so that two do not take it from each other */
    public function locked(): Collection
    {
        return Role::query()->orderBy('id')->lockForUpdate()->get();
    }

    /** @throws Refusal at the place, when nobody manages people any more */
    public function check(string $place): void
    {
        $managers = Person::query()
            ->where('active', true)
            ->get()
            ->filter(static fn(Person $person): bool => $person->mayDo(Ability::ManagePeople));
        $managers->isNotEmpty() || throw Refusal::at($place, 'Then nobody could manage people any more.');
    }
}
