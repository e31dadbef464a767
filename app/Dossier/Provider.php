<?php

declare(strict_types=1);

namespace App\Dossier;

use App\CutIn\PlannedSwaps;
use App\Dossier\RequestPaths\FollowRequest;
use App\Dossier\RequestPaths\KeepRequestActorsUpToDate;
use App\Dossier\Tasks\EndTasks;
use App\Dossier\Tasks\MakePathTasks;
use App\Dossier\Tasks\TaskChanges;
use App\Ledger\ActListeners;
use App\Orders\Paths\FactsOfOrder;
use App\People\PlacesOfChanges;
use App\Structures\NamingChanges;
use App\Tasks\ChangesOfTasks;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    /**
     * What lower floors want to know of changes as a whole.
     *
     * @var array<class-string, class-string>
     */
    public array $bindings = [
        NamingChanges::class => ChangeList::class,
        PlannedSwaps::class => OrderedSwaps::class,
        ChangesOfTasks::class => TaskChanges::class,
        FactsOfOrder::class => OrderFacts::class,
        PlacesOfChanges::class => ChangePlaces::class,
    ];

    public function boot(): void
    {
        ActListeners::add($this->app, EndTasks::class, MakePathTasks::class, FollowRequest::class, KeepRequestActorsUpToDate::class);
    }
}
