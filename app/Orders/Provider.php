<?php

declare(strict_types=1);

namespace App\Orders;

use App\Documents\RevisionWork;
use App\Ledger\ActListeners;
use App\Orders\Contents\ContentKinds;
use App\Orders\Contents\EngineeringContents;
use App\Orders\Duties\Duties;
use App\Orders\Duties\KeepDutiesApart;
use App\Orders\Editing\EditorsOfOrders;
use App\Orders\Paths\ChooseByRule;
use App\Orders\Paths\KeepActorsUpToDate;
use App\Orders\Paths\MoveOn;
use App\Orders\Subjects\EngineeringEditor;
use App\Orders\Subjects\SubjectEditors;
use App\Structures\Compare\PlannedSide;
use App\Structures\Overlay;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    /**
     * What lower floors want to know of orders.
     *
     * @var array<class-string, class-string>
     */
    public array $bindings = [
        Overlay::class => PlannedStructures::class,
        PlannedSide::class => OrderSide::class,
        RevisionWork::class => OrderWork::class,
    ];

    public function boot(): void
    {
        ActListeners::add(
            $this->app,
            KeepDutiesApart::class,
            KeepActorsUpToDate::class,
            EditorsOfOrders::class,
            ChooseByRule::class,
            MoveOn::class,
        );
    }

    public function register(): void
    {
        // What they read is kept for one request, or one job.
        $this->app->scoped(ContentKinds::class);
        $this->app->scoped(Duties::class);
        $this->app->scoped(EditorsOfOrders::class);
        $this->app->scoped(SubjectEditors::class);
        $this->app->resolving(
            ContentKinds::class,
            static fn(ContentKinds $kinds, Application $app) => $kinds->add($app->make(EngineeringContents::class)),
        );
        $this->app->resolving(
            SubjectEditors::class,
            static fn(SubjectEditors $editors, Application $app) => $editors->add($app->make(EngineeringEditor::class)),
        );
    }
}
