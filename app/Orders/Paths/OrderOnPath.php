<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Orders\Duties\Duties;
use App\Orders\Models\ChangeOrder;
use App\Paths\Judged;
use App\Paths\Models\ApprovalPath;
use App\People\Ability;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Approval\Facts;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Rights\Duty;

/** An order as it is judged on its path. */
final readonly class OrderOnPath implements Judged
{
    /** @param  list<int>  $proposers  ids of who raised and edited it */
    public function __construct(private ChangeOrder $order, private array $proposers) {}

    public function model(): Model
    {
        return $this->order;
    }

    public function number(): string
    {
        return $this->order->number;
    }

    public function approvalPath(): ?ApprovalPath
    {
        $this->order->loadMissing('path');

        return $this->order->path;
    }

    public function path(): Path
    {
        return $this->approvalPath()?->path() ?? Path::oneSigner();
    }

    public function signatures(): Collection
    {
        return $this->order->signatures;
    }

    /** As they were when it was sent to review. */
    public function facts(): Facts
    {
        return new Facts($this->order->facts);
    }

    public function named(string $role): array
    {
        return RolesOfOrder::named($this->order, $role);
    }

    public function maySign(Person $person): bool
    {
        return $person->mayDo(Ability::SignOrder, $this->order->number);
    }

    public function barred(): array
    {
        return [...$this->proposers, ...array_keys(app(Duties::class)->barred(Duty::Sign, $this->order))];
    }

    public function isUnderWay(): bool
    {
        return $this->order->state === OrderState::InReview;
    }

    public function began(): ?CarbonImmutable
    {
        return $this->order->sent_to_review_at;
    }

    public function daysMoved(): int
    {
        return $this->order->days_moved;
    }
}
