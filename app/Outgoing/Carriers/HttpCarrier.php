<?php

declare(strict_types=1);

namespace App\Outgoing\Carriers;

use App\Outgoing\Models\Channel;
use App\Outgoing\Models\Delivery;
use App\Outgoing\Models\Purpose;
use Carbon\CarbonImmutable;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Support\Facades\Http;
use Orthotaxis\Core\Outgoing\Retries;
use Orthotaxis\Core\Outgoing\WebhookSignature;

/**
 * Posts a message to an address. An event is signed; a file comes with its name, and with the token of the target where it has one. It goes
 * to the address that is set and nowhere else: no redirection is followed, and nothing of the answer is kept but its status.
 */
final readonly class HttpCarrier implements Carrier
{
    public function carry(Channel $channel, Delivery $delivery): string
    {
        try {
            $response = Http::withHeaders(
                $channel->purpose === Purpose::Events ? self::signed($channel, $delivery) : self::named($channel, $delivery),
            )
                ->withBody($delivery->content, $delivery->media_type)
                ->withoutRedirecting()
                ->connectTimeout(config()->float('outgoing.connect_seconds'))
                ->timeout(config()->float('outgoing.answer_seconds'))
                ->post($channel->address);
        } catch (ConnectionException $fault) {
            throw new NotCarried('It does not answer.', from: $fault);
        }
        $said = "HTTP {$response->status()}";

        return $response->successful() ? $said : throw new NotCarried($said, Retries::isRefusal($response->status()));
    }

    /** @return array<string, string> as the specification "Standard Webhooks" has them */
    private static function signed(Channel $channel, Delivery $delivery): array
    {
        $now = CarbonImmutable::now();

        return [
            'webhook-id' => $delivery->name,
            'webhook-timestamp' => (string) $now->getTimestamp(),
            'webhook-signature' => WebhookSignature::of(
                $channel->signingSecrets($now),
                $delivery->name,
                $now->getTimestamp(),
                $delivery->content,
            ),
        ];
    }

    /** @return array<string, string> */
    private static function named(Channel $channel, Delivery $delivery): array
    {
        return array_filter([
            'Idempotency-Key' => $delivery->name,
            'Content-Disposition' => "attachment; filename=\"{$delivery->name}\"",
            'Authorization' => $channel->secret === null ? '' : "Bearer {$channel->secret}",
        ]);
    }
}
