<?php

declare(strict_types=1);

namespace App\HandoverProfiles;

use App\Outgoing\Models\TargetKind;
use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Handover\Profile;

/** A profile as somebody wants it set up. */
final readonly class WantedProfile
{
    /**
     * @param  list<string>  $moments
     * @param  ?string  $secret  what opens the target; null: as it is
     */
    public function __construct(
        public string $name,
        public TargetKind $target,
        public string $address,
        public string $login,
        public ?string $secret,
        public string $hostKey,
        public array $moments,
        public Profile $profile,
        public bool $retired,
    ) {}

    /** @return list<string> none: all of them, and those that come later too */
    public function fields(): array
    {
        return $this->profile->fields === Document::FIELDS ? [] : $this->profile->fields;
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        return [
            'moments' => $this->moments,
            'structures' => $this->profile->structures,
            'plants' => $this->profile->plants,
            'fields' => $this->fields(),
            'format' => $this->profile->format,
            'file_name' => $this->profile->name->pattern,
        ];
    }
}
