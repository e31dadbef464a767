<?php

declare(strict_types=1);

namespace App\Orders\Sheet;

use App\Orders\Models\ChangeOrder;
use App\People\Ability;
use App\People\Models\Person;
use App\Vocabulary\Priority;

/** What stands above the lines in a sheet of an order: what the order is called, and its plan. */
final readonly class OrderHead
{
    public const ORDER = 'order';

    /** Names in a sheet, and what an order calls each. */
    public const FIELDS = [
        'title' => 'title',
        'description' => 'description',
        'priority' => 'priority',
        'effective' => 'effective_on',
        'editor' => 'editor',
        'signer' => 'signer',
    ];

    /** @return list<string> */
    public static function names(): array
    {
        return [self::ORDER, ...array_keys(self::FIELDS)];
    }

    /** @return array<string, string> by name */
    public static function of(ChangeOrder $order): array
    {
        $order->loadMissing(['editor', 'signer']);

        return [
            self::ORDER => $order->number,
            'title' => $order->title,
            'description' => $order->description,
            'priority' => $order->priority,
            'effective' => $order->effective_on ?? '',
            'editor' => $order->editor->login ?? '',
            'signer' => $order->signer->login ?? '',
        ];
    }

    /** @return array<string, string> of an order that does not exist yet */
    public static function none(): array
    {
        return array_replace(array_fill_keys(array_keys(self::FIELDS), ''), ['priority' => Priority::Normal->value]);
    }

    /** @return array<string, list<string>> what it may say, by name, as far as that is one of a few */
    public static function lists(): array
    {
        $people = Person::query()->where('active', true)->orderBy('login')->get();
        $may = static fn(Ability $ability): array => array_values(
            $people
                ->filter(static fn(Person $one): bool => $one->mayDo($ability))
                ->map(static fn(Person $one): string => $one->login)
                ->all(),
        );

        return array_filter([
            'priority' => array_column(Priority::cases(), 'value'),
            'editor' => $may(Ability::ReviseStructure),
            'signer' => $may(Ability::SignOrder),
        ]);
    }
}
