<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Events;

use App\Ledger\Deed;
use Orthotaxis\Core\Handover\Format;

/** A hand-over profile is added, or takes something else, or goes elsewhere. */
final readonly class HandoverProfileSet extends Deed
{
    public const NAME = 'handover_profile.set';

    /**
     * @param  list<string>  $moments
     * @param  list<string>  $structures
     * @param  list<string>  $plants
     * @param  list<string>  $fields
     * @param  bool  $secret  whether what opens the target was given anew
     */
    public function __construct(
        string $by,
        string $of,
        public string $name,
        public string $target,
        public string $address,
        public array $moments,
        public array $structures,
        public array $plants,
        public array $fields,
        public Format $format,
        public string $fileName,
        public bool $secret,
        public bool $retired,
    ) {
        parent::__construct($by, $of);
    }
}
