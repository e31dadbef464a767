<?php

declare(strict_types=1);

namespace App\Discussion;

use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Orders\Subjects\NamedWork;
use Orthotaxis\Core\Refusal;

/** A line of an order that something is said of. */
final readonly class SaidOfLine
{
    /**
     * @param  string  $work  "engineering", "manufacturing:Weir"
     * @param  string  $line  its key
     */
    public function __construct(public string $item, public string $work, public string $line) {}

    /**
     * As people call it now: line 40 200-0131.
     *
     * @throws Refusal when the order has no such line, before or after
     */
    public function called(string $order): string
    {
        $named = NamedWork::of($order, $this->item, $this->work);
        $found = ChangeOrder::query()->where('number', $order)->first();
        foreach ($found === null ? [] : app(OrderReader::class)->toCore($found)->works() as $work) {
            $isIt = (string) $work->subject === $named->subject();
            foreach ($isIt ? [$work->after, $work->before] : [] as $content) {
                if ($content->says($this->line) !== []) {
                    return $content->called($this->line);
                }
            }
        }

        throw Refusal::at('line', "{$order} has no such line.");
    }
}
