<?php

declare(strict_types=1);

namespace App\Outgoing;

use App\Outgoing\Models\DeliveryState;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Ledger\Record;

/** One act as another system is told of it: an event of the open specification CloudEvents 1.0, in JSON. */
final readonly class EventMessage
{
    private const MEDIA_TYPE = 'application/cloudevents+json';

    /** What is sent to try a webhook out. */
    public const TRIAL = 'webhook.tried';

    /** @param  string  $details  JSON */
    private function __construct(
        private string $id,
        private string $event,
        private string $subject,
        private string $moment,
        private string $by,
        private string $details,
    ) {}

    public static function of(Record $record): self
    {
        return new self(
            id: (string) $record->number,
            event: $record->act,
            subject: $record->subject,
            moment: $record->at,
            by: $record->actor,
            details: $record->details,
        );
    }

    public static function trial(string $by, string $code): self
    {
        $now = CarbonImmutable::now('UTC');

        return new self(
            id: 'trial-' . $now->format('YmdHisu'),
            event: self::TRIAL,
            subject: $code,
            moment: $now->format('Y-m-d\TH:i:s.u\Z'),
            by: $by,
            details: '{}',
        );
    }

    /** @return array<string, mixed> the row of a delivery */
    public function to(int $channel): array
    {
        $now = CarbonImmutable::now();

        return [
            'channel_id' => $channel,
            'name' => $this->id,
            'what' => $this->event,
            'subject' => $this->subject,
            'media_type' => self::MEDIA_TYPE,
            'content' => $this->json(),
            'written_at' => $now,
            'due_at' => $now,
            'state' => DeliveryState::Waiting->value,
        ];
    }

    private function json(): string
    {
        return json_encode(
            [
                'specversion' => '1.0',
                'id' => $this->id,
                'source' => config()->string('app.url'),
                'type' => $this->event,
                'subject' => $this->subject,
                'time' => $this->moment,
                'datacontenttype' => 'application/json',
                'data' => ['by' => $this->by, 'details' => json_decode($this->details, flags: JSON_THROW_ON_ERROR)],
            ],
            JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        );
    }
}
