<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Orders\Models\ApprovalPath;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use Orthotaxis\Core\Approval\Condition;
use Orthotaxis\Core\Approval\Fact;
use Orthotaxis\Core\Approval\Facts;

/**
 * Which path a rule chooses for an order: of those whose conditions all hold the one with the least rank. One without any conditions holds
 * for every order: it wants the greatest rank.
 */
final readonly class ChosenByRule
{
    public function __construct(private OrderReader $orders, private FactsOfOrder $facts) {}

    /** @return ?ApprovalPath null where no rule chooses any: one person signs */
    public function of(ChangeOrder $order): ?ApprovalPath
    {
        $paths = ApprovalPath::newest()->where('retired', false)->whereNotNull('chosen_when')->orderBy('rank')->orderBy('code')->get();
        if ($paths->isEmpty()) {
            return null;
        }
        $facts = new Facts($this->facts->of($order, $this->orders->toCore($order)));

        return $paths->first(static fn(ApprovalPath $path): bool => Condition::allHold(self::conditions($path->chosen_when ?? []), $facts));
    }

    /**
     * @param  list<array{fact: string, values: list<string>}>  $conditions
     * @return list<Condition>
     */
    public static function conditions(array $conditions): array
    {
        $read = [];
        foreach ($conditions as $at => $one) {
            $read[] = Condition::read(Fact::from($one['fact']), array_values($one['values']), "chosen_when.{$at}.values");
        }

        return $read;
    }
}
