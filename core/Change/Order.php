<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Task\Editors;
use Orthotaxis\Core\Task\TaskBeforeReview;

/** A change order as far as the rules look at it. People are named by id. */
final readonly class Order
{
    /** @var array<array-key, OrderItem> */
    private array $byNumber;

    /**
     * @param  list<OrderItem>  $items
     * @param  list<int>  $editAuthors  everybody whose edits the order holds
     * @param  ?string  $signedDigest  the digest of the content that was signed
     * @param  list<Waiver>  $waivers  conditions that are let go
     * @param  ?TiedOrder  $parent  the order to which it is subordinate
     * @param  list<TiedOrder>  $subordinates  those that are subordinate to it
     * @param  list<TaskBeforeReview>  $tasksBeforeReview  without which it is not sent to review
     * @param  list<Belonging>  $belongings  what belongs to its items and would not fit by itself; only where that is asked
     * @param  ?list<string>  $openBeforeRelease  tasks without which it is not released and that are not done; null: it has none such
     * @param  ?list<string>  $stuck  why the approval path that was chosen for it cannot come to its end; null: one person signs
     * @param  list<FollowsLater>  $later  plants that follow under another order
     * @param  list<PlantState>  $plants  that build what is on it; only where it is asked whether they have taken it over
     */
    public function __construct(
        public string $number,
        public OrderState $state,
        public int $author,
        public ?int $editor,
        public ?int $signer,
        public ?Day $effectiveOn,
        public array $items,
        public array $editAuthors = [],
        public ?string $signedDigest = null,
        public array $waivers = [],
        public array $later = [],
        public array $plants = [],
        public ?array $stuck = null,
        public ?TiedOrder $parent = null,
        public array $subordinates = [],
        public array $tasksBeforeReview = [],
        public ?array $openBeforeRelease = null,
        public array $belongings = [],
    ) {
        $this->byNumber = array_column($items, null, 'number');
    }

    /**
     * As it is judged.
     *
     * @param  list<PlantState>  $plants  that build what is on it
     * @param  ?list<string>  $stuck  why its approval path cannot come to its end; null: one person signs
     * @param  list<Belonging>  $belongings
     */
    public function judged(array $plants, ?array $stuck = null, array $belongings = []): self
    {
        return new self(
            $this->number,
            $this->state,
            $this->author,
            editor: $this->editor,
            signer: $this->signer,
            effectiveOn: $this->effectiveOn,
            items: $this->items,
            editAuthors: $this->editAuthors,
            signedDigest: $this->signedDigest,
            waivers: $this->waivers,
            later: $this->later,
            plants: $plants,
            stuck: $stuck,
            parent: $this->parent,
            subordinates: $this->subordinates,
            tasksBeforeReview: $this->tasksBeforeReview,
            openBeforeRelease: $this->openBeforeRelease,
            belongings: $belongings,
        );
    }

    public function followsLater(string $item, string $plant): ?FollowsLater
    {
        foreach ($this->later as $later) {
            if ($later->item === $item && $later->plant === $plant) {
                return $later;
            }
        }

        return null;
    }

    /** @return list<OrderItem> */
    public function revised(): array
    {
        return array_values(array_filter($this->items, static fn(OrderItem $item): bool => $item->outcome === Outcome::Revise));
    }

    /** @return list<OrderItem> of which anything changes, be it a new revision or not */
    public function changing(): array
    {
        return array_values(array_filter($this->items, static fn(OrderItem $item): bool => $item->outcome !== Outcome::Keep));
    }

    public function item(string $number): OrderItem
    {
        return $this->byNumber[$number] ?? throw new \LogicException("{$number} is not on {$this->number}.");
    }

    /** @return list<Work> all that it changes, whatever the kind */
    public function works(): array
    {
        return array_merge(...array_map(static fn(OrderItem $item): array => $item->works, $this->items));
    }

    /** @return list<TaskBeforeReview> that are neither done nor withdrawn */
    public function openBeforeReview(): array
    {
        return (new Editors($this->editor, $this->tasksBeforeReview))->open();
    }

    /** @return list<int> those who may not sign: who raised the order, who edits it or a part of it, who has edited */
    public function proposers(): array
    {
        $editors = array_map(static fn(Work $work): ?int => $work->editor, $this->works());
        $asked = (new Editors($this->editor, $this->tasksBeforeReview))->people();

        $all = [$this->author, $this->editor, ...$editors, ...$asked, ...$this->editAuthors];

        return array_values(array_unique(array_filter($all, is_int(...))));
    }
}
