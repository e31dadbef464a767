<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Paths\ResponsibleReader;
use App\Paths\Roles;
use App\Requests\Models\ChangeRequest;
use Orthotaxis\Core\Approval\Fact;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Change\Outcome;

/** Whom an order means by the roles that paths name: sign-in names, and groups by their code behind "group:". */
final readonly class RolesOfOrder
{
    /** @return list<string> none twice; empty: nobody has the role */
    public static function named(ChangeOrder $order, string $role): array
    {
        $names = match ($role) {
            Path::SIGNER => [$order->signer?->login],
            Roles::EDITOR => [$order->editor?->login],
            Roles::ORIGINATOR => self::originators($order),
            Roles::OWNER => Roles::responsible(ResponsibleReader::CATEGORY, self::categories($order)),
            Roles::PLANNER => Roles::responsible(ResponsibleReader::PLANT, self::plants($order)),
            default => [$role],
        };

        return array_values(array_unique(array_filter($names, is_string(...))));
    }

    /** @return list<string> */
    private static function originators(ChangeOrder $order): array
    {
        $order->loadMissing('requests.raisedBy');
        $raised = $order->requests->map(static fn(ChangeRequest $one): string => $one->raisedBy->login)->all();

        return $raised === [] ? [$order->author->login] : array_values($raised);
    }

    /** @return list<string> */
    private static function categories(ChangeOrder $order): array
    {
        $order->loadMissing('items.item.category');

        return array_values(
            $order->items
                ->where('outcome', '!=', Outcome::Keep)
                ->map(static fn(OrderItem $row): string => $row->item->category->code ?? '')
                ->all(),
        );
    }

    /** @return list<string> as they were when it was sent to review; before, those that its works name */
    private static function plants(ChangeOrder $order): array
    {
        $order->loadMissing(['items.works', 'requests']);
        $named = [
            ...$order->items->flatMap(static fn(OrderItem $row) => $row->works->pluck('plant'))->all(),
            ...$order->requests->pluck('site')->all(),
        ];

        return $order->facts[Fact::Plant->value] ?? array_values(array_filter($named, is_string(...)));
    }
}
