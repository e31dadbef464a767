<?php

declare(strict_types=1);

namespace App\Dossier;

use App\CutIn\PlannedSwaps;
use App\Structures\NamingChanges;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    /**
     * What lower floors want to know of changes as a whole.
     *
     * @var array<class-string, class-string>
     */
    public array $bindings = [NamingChanges::class => ChangeList::class, PlannedSwaps::class => OrderedSwaps::class];
}
