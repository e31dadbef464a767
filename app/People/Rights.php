<?php

declare(strict_types=1);

namespace App\People;

use App\People\Models\Role;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Rights\Place;

/** What roles allow, read once for a request or a job. */
final class Rights
{
    /** @var ?array<string, Role> by code */
    private ?array $roles = null;

    /** @var array<string, Place> by number */
    private array $places = [];

    public function __construct(private readonly PlacesOfChanges $known) {}

    /**
     * @param  list<string>  $roles  codes
     * @param  ?string  $of  number of a change or item
     */
    public function allow(array $roles, Ability $ability, ?string $of): bool
    {
        foreach ($roles as $code) {
            $rule = ($this->roles()[$code] ?? null)?->rule();
            if ($rule?->allows($ability->value) !== true) {
                continue;
            }
            if ($of === null || !$rule->isHeld() || $rule->allows($ability->value, $this->place($of))) {
                return true;
            }
        }

        return false;
    }

    /**
     * Of many changes at once, where one after the other would be asked for.
     *
     * @param  list<string>  $roles  codes of who is asked about
     * @param  Collection<int, covariant Model>  ...$changes
     */
    public function look(array $roles, Collection ...$changes): void
    {
        foreach ($roles as $code) {
            if (($this->roles()[$code] ?? null)?->rule()->isHeld() === true) {
                /** @var list<string> $numbers */
                $numbers = array_merge(...array_map(static fn(Collection $some): array => $some->pluck('number')->all(), $changes));
                $this->places = $this->known->of($numbers) + $this->places;

                return;
            }
        }
    }

    /** @param  list<string>  $roles  codes */
    public function needSecondFactor(array $roles): bool
    {
        return array_any($roles, fn(string $code): bool => ($this->roles()[$code] ?? null)?->second_factor === true);
    }

    /** @return ?string null when there is no such role */
    public function name(string $code): ?string
    {
        return ($this->roles()[$code] ?? null)?->name;
    }

    /**
     * @param  list<string>  $codes
     * @return list<string>
     */
    public function names(array $codes): array
    {
        return array_map(fn(string $code): string => $this->name($code) ?? $code, $codes);
    }

    /** Somebody has set a role. */
    public function forget(): void
    {
        $this->roles = null;
    }

    /** @return array<string, Role> */
    private function roles(): array
    {
        return $this->roles ??= Role::query()->get()->keyBy('code')->all();
    }

    private function place(string $number): Place
    {
        return $this->places[$number] ??= $this->known->of([$number])[$number] ?? new Place();
    }
}
