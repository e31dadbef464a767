<?php

declare(strict_types=1);

namespace App\Releases\Actions;

use App\Orders\Models\ChangeOrder;
use App\Releases\HandoverSchema;
use App\Releases\Models\Handover;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Handover\Format;
use Orthotaxis\Core\Handover\IntroducedItem;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Release\ReleasePlan;
use Orthotaxis\Core\Verification\CopyDifference;

/** Writes the files of a release or a correction and puts them in the outbox, in the transaction of the act. */
final readonly class WriteHandover
{
    public function __construct(private HandoverSchema $schema, private PostHandover $post) {}

    public function write(ChangeOrder $order, ReleasePlan $plan, CarbonImmutable $now): Handover
    {
        $introduced = [];
        foreach ($order->items as $row) {
            $introduced[$row->item->number] = new IntroducedItem(
                $row->item->title,
                $row->item->unit,
                supply: $row->item->supply,
                leadTime: $row->item->lead_time_days,
                cost: $row->item->standard_cost === null ? null : Money::ofTenThousandths($row->item->standard_cost),
            );
        }

        return $this->keep(Document::of($plan, $order->title, self::number(), self::written($now), $introduced), $order->id, $now);
    }

    /**
     * What makes planning's copy say what holds here again.
     *
     * @param  string  $day  the first day on which the revisions hold
     * @param  non-empty-list<CopyDifference>  $differences
     */
    public function correct(string $day, string $title, array $differences): Handover
    {
        $now = CarbonImmutable::now();

        return $this->keep(
            Document::correction(self::number(), self::written($now), $day, $title, CopyDifference::corrections($differences)),
            null,
            $now,
        );
    }

    private function keep(Document $document, ?int $order, CarbonImmutable $now): Handover
    {
        $handover = Handover::query()->create([
            'order_id' => $order,
            'number' => $document->number,
            'name' => $document->name(),
            'state' => 'waiting',
            'written_at' => $now,
        ]);
        foreach (Format::cases() as $format) {
            $content = $format->write($document);
            if ($format === Format::Xml) {
                $this->schema->check($content);
            }
            $handover->files()->create(['format' => $format, 'content' => $content, 'sha256' => hash('sha256', $content)]);
        }
        $handover
            ->entries()
            ->createMany(
                array_map(static fn(array $record): array => ['number' => $record['entry'], 'record' => $record], $document->records()),
            );
        $this->post->post($handover);

        return $handover;
    }

    private static function number(): int
    {
        return (int) DB::selectOne("SELECT nextval('hand_over_number') AS number")->number;
    }

    private static function written(CarbonImmutable $now): string
    {
        return $now->utc()->format('Y-m-d\TH:i:s\Z');
    }
}
