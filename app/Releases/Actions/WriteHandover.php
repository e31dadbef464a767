<?php

declare(strict_types=1);

namespace App\Releases\Actions;

use App\Days\Today;
use App\Orders\Models\ChangeOrder;
use App\Releases\HandoverSchema;
use App\Releases\HandoverWritten;
use App\Releases\Models\Handover;
use App\Tables\CopyInto;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Handover\Entry;
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

        return $this->keep(
            Document::of($plan, $order->title, self::number(), self::written($now), $introduced),
            'release',
            $order->id,
            $now,
        );
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
            'correction',
            null,
            $now,
        );
    }

    /**
     * What planning has to do about documents that name what the order replaced.
     *
     * @param  non-empty-list<Entry>  $entries
     */
    public function settle(ChangeOrder $order, array $entries): Handover
    {
        $now = CarbonImmutable::now();
        $document = Document::settlement(
            $order->number,
            "Open documents of {$order->number}",
            number: self::number(),
            written: self::written($now),
            day: (string) Today::day(),
            entries: $entries,
        );

        return $this->keep($document, 'documents', $order->id, $now);
    }

    private function keep(Document $document, string $kind, ?int $order, CarbonImmutable $now): Handover
    {
        $handover = Handover::query()->create([
            'kind' => $kind,
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
        // A release of twenty thousand lines is written at once.
        $entries = new CopyInto('handover_entries', ['handover_id', 'number', 'record']);
        foreach ($document->records() as $record) {
            // Of thirty fields an entry says ten.
            $told = array_filter($record, static fn(string|int|null $value): bool => $value !== null);
            $said = json_encode($told, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
            $entries->row([$handover->id, $record['entry'], $said]);
        }
        $entries->flush();
        $this->post->post($handover);
        event(new HandoverWritten($handover));

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
