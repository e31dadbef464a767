<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Data;

use App\HandoverProfiles\Models\HandoverProfile;
use App\Http\Api\ListOf;
use App\Outgoing\Data\ChannelState;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Handover\Profile;

/** What another system gets of hand-overs. */
#[OA\Schema]
final readonly class HandoverProfileRow
{
    /**
     * @param  list<string>  $moments
     * @param  list<string>  $structures
     * @param  list<string>  $plants
     * @param  list<string>  $fields
     */
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(enum: ['http', 'sftp', 'folder'])] public string $target,
        #[OA\Property] public string $address,
        #[OA\Property] public string $login,
        #[OA\Property] public string $host_key,
        #[OA\Property(description: 'what opens the target is set; it cannot be read')] public bool $has_secret,
        #[
            OA\Property(type: 'array', items: new OA\Items(type: 'string', enum: ['released', 'taken', 'documents', 'corrected'])),
        ]
        public array $moments,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string', enum: Profile::STRUCTURES))] public array $structures,
        #[ListOf('string')] public array $plants,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string', enum: Document::FIELDS))] public array $fields,
        #[OA\Property(enum: ['xml', 'json', 'csv'])] public string $format,
        #[OA\Property] public string $file_name,
        #[OA\Property] public bool $retired,
        #[OA\Property] public int $version,
        #[OA\Property] public ChannelState $state,
    ) {}

    public static function of(HandoverProfile $profile, ChannelState $state): self
    {
        $channel = $profile->channel;

        return new self(
            code: $channel->code,
            name: $channel->name,
            target: $channel->target->value,
            address: $channel->address,
            login: $channel->login,
            host_key: $channel->host_key,
            has_secret: $channel->hasSecret(),
            moments: $profile->moments,
            structures: $profile->structures,
            plants: $profile->plants,
            fields: $profile->fields,
            format: $profile->format->value,
            file_name: $profile->file_name,
            retired: $channel->retired,
            version: $channel->version,
            state: $state,
        );
    }
}
