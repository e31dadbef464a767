<?php

declare(strict_types=1);

namespace App\People\Data;

use App\Http\Api\ListOf;
use App\People\Ability;
use App\People\Models\Person;
use App\People\Rights;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class Me
{
    /**
     * @param  list<string>  $roles
     * @param  list<string>  $abilities
     * @param  \stdClass  $table_layouts  of TableLayout, by the name of the table
     */
    private function __construct(
        #[OA\Property] public string $login,
        #[OA\Property] public string $name,
        #[ListOf('string')] public array $roles,
        #[ListOf('string')] public array $abilities,
        #[
            OA\Property(description: 'whether their role asks for one, and they do nothing before they have it'),
        ]
        public bool $lacks_second_factor,
        #[OA\Property(ref: Settings::class)] public Settings $settings,
        #[
            OA\Property(
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(ref: TableLayout::class),
                description: 'by the name of the table',
            ),
        ]
        public \stdClass $table_layouts,
    ) {}

    public static function of(Person $person, bool $lacksSecondFactor): self
    {
        return new self(
            login: $person->login,
            name: $person->name,
            roles: app(Rights::class)->names($person->roles),
            abilities: array_values(
                array_map(static fn(Ability $ability): string => $ability->value, array_filter(Ability::cases(), $person->mayDo(...))),
            ),
            lacks_second_factor: $lacksSecondFactor,
            settings: Settings::ofThisInstallation(),
            table_layouts: (object) array_map(
                static fn(array $one): TableLayout => new TableLayout($one['order'], $one['visibility'], $one['sizing']),
                $person->table_layouts,
            ),
        );
    }
}
