<?php

declare(strict_types=1);

namespace App\Dossier\Events;

use App\Ledger\Deed;

/** A request proposes no lines any more. */
final readonly class ProposalDropped extends Deed
{
    public const NAME = 'request.proposal_dropped';
}
