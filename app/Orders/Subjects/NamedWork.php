<?php

declare(strict_types=1);

namespace App\Orders\Subjects;

use Orthotaxis\Core\Content\Subject;

/** What an order does to one subject of an item, as an address names it: the kind, and the plant where it has one. */
final readonly class NamedWork
{
    /** Between the kind and the plant. */
    private const AT = ':';

    public function __construct(
        public string $order,
        public string $item,
        public string $kind = Subject::ENGINEERING,
        public string $plant = '',
    ) {}

    /** @param  string  $work  "engineering", "manufacturing:Weir" */
    public static function of(string $order, string $item, string $work): self
    {
        [$kind, $plant] = [...explode(self::AT, $work, 2), ''];

        return new self($order, $item, $kind, $plant);
    }

    /** As an address names it. */
    public function work(): string
    {
        return $this->plant === '' ? $this->kind : $this->kind . self::AT . $this->plant;
    }

    /** Item and work, by which subjects of one order are told apart: "200-0010 manufacturing:Weir". */
    public function key(): string
    {
        return "{$this->item} {$this->work()}";
    }

    public function edited(): Subject
    {
        return new Subject($this->kind, $this->item, $this->plant);
    }

    public function subject(): string
    {
        return (string) $this->edited();
    }
}
