<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Structure\LineField;

/** A change order as far as the rules look at it. People are named by id. */
final readonly class Order
{
    /**
     * @param  list<OrderItem>  $items
     * @param  list<int>  $editAuthors  everybody whose edits the order holds
     * @param  ?string  $signedDigest  the digest of the content that was signed
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
    ) {}

    /** @return list<OrderItem> */
    public function revised(): array
    {
        return array_values(array_filter($this->items, static fn (OrderItem $item): bool => $item->outcome === Outcome::Revise));
    }

    /** @return list<int> those who may not sign: who raised the order, who edits, who has edited */
    public function proposers(): array
    {
        return array_values(array_unique(array_filter([$this->author, $this->editor, ...$this->editAuthors], is_int(...))));
    }

    /** What a signature stands for: the same content always gives the same digest, any other content another. */
    public function digest(): string
    {
        $items = [];
        foreach ($this->items as $item) {
            $lines = [];
            foreach ($item->after as $line) {
                $texts = [];
                foreach (LineField::cases() as $field) {
                    // Few lines name a revision: those that do not are signed as they always were.
                    if ($field !== LineField::Revision || $line->revision !== null) {
                        $texts[] = $line->text($field);
                    }
                }
                $lines[] = $texts;
            }
            // Files stand in the digest only where there are some: what was signed before there were files stays signed.
            $items[] = [$item->number, $item->outcome->value, $item->disposition?->value, $item->baseRevision, $lines, ...($item->files === [] ? [] : [$item->files])];
        }
        sort($items);

        return hash('sha256', json_encode([$this->number, (string) $this->effectiveOn, $items], JSON_THROW_ON_ERROR));
    }
}
