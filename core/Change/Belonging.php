<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/** Something that belongs to an item on an order and would not fit its coming revision by itself. */
final readonly class Belonging
{
    /**
     * @param  string  $item  the number of the one on the order
     * @param  string  $number  of what belongs to it
     * @param  string  $fault  why it does not fit; empty where it goes along or adopts
     * @param  string  $reason  why it is left as it is; empty otherwise
     */
    public function __construct(
        public string $item,
        public BelongingKind $kind,
        public string $number,
        public BelongingState $state,
        public string $fault = '',
        public string $reason = '',
    ) {}

    public function isOpen(): bool
    {
        return $this->state === BelongingState::Open;
    }
}
