<?php

declare(strict_types=1);

namespace App\People\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\People\Ability;
use App\People\Data\RoleWishes;
use App\People\Events\RoleSet;
use App\People\Models\Person;
use App\People\Models\Role;
use App\People\Rights;
use Orthotaxis\Core\Refusal;

/** Adds a role, or sets what it is called, what it allows and where. */
final readonly class SetRole
{
    public function __construct(private Ledger $ledger, private Rights $rights, private ManagersStay $managers) {}

    /**
     * @param  ?int  $version  that was on screen; null: it is new
     *
     * @throws Refusal when there is one with this code already, people still have one that retires, or nobody could undo it
     * @throws Stale when somebody has changed it since that version
     */
    public function __invoke(Person $by, string $code, RoleWishes $wishes, ?int $version): Role
    {
        return $this->ledger->together(function () use ($by, $code, $wishes, $version): Role {
            $role = $this->managers->locked()->firstWhere('code', $code);
            if ($version === null && $role !== null) {
                throw Refusal::at('code', "There is a role {$code} already.");
            }
            if ($version !== null) {
                $role ?? abort(404);
                if ($role->version !== $version) {
                    throw new Stale('Somebody has changed it meanwhile.', ['name' => $role->name]);
                }
            }
            $everywhere = array_filter(
                Ability::EVERYWHERE,
                static fn(Ability $one): bool => in_array($one->value, $wishes->abilities, true),
            );
            if ($everywhere !== [] && ($wishes->plants !== [] || $wishes->categories !== [])) {
                $named = implode(', ', array_map(static fn(Ability $one): string => $one->label(), $everywhere));
                throw Refusal::at(
                    'abilities',
                    "This is done for all plants and items at once: {$named}. Give it by a role without limits.",
                );
            }
            if ($wishes->retired) {
                $has = Person::query()->where('active', true)->whereJsonContains('roles', $code)->orderBy('name')->pluck('name');
                $has->isEmpty() || throw Refusal::at('retired', "{$has->implode(', ')} still have it. Give them another role first.");
            }
            $role ??= new Role(['code' => $code, 'version' => 0]);
            $role
                ->fill([
                    'name' => $wishes->name,
                    'abilities' => $wishes->abilities,
                    'plants' => $wishes->plants,
                    'categories' => $wishes->categories,
                    'second_factor' => $wishes->secondFactor,
                    'retired' => $wishes->retired,
                    'version' => $role->version + 1,
                ])
                ->save();
            $this->rights->forget();
            $this->managers->check('abilities');
            event(
                new RoleSet(
                    $by->login,
                    $code,
                    name: $wishes->name,
                    abilities: $wishes->abilities,
                    plants: $wishes->plants,
                    categories: $wishes->categories,
                    secondFactor: $wishes->secondFactor,
                    retired: $wishes->retired,
                ),
            );

            return $role;
        });
    }
}
