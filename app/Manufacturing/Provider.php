<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\CutIn\PlantCalendars;
use App\Imports\BuiltImporter;
use App\Manufacturing\Actions\PlantEditor;
use App\Manufacturing\Files\BuiltImport;
use App\Orders\Contents\ContentKinds;
use App\Orders\PlantsOfOrder;
use App\Orders\Subjects\SubjectEditors;
use App\Orders\WorkOfPlants;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    /**
     * What lower floors want to know of plants.
     *
     * @var array<class-string, class-string>
     */
    public array $bindings = [
        PlantCalendars::class => KeptCalendars::class,
        PlantsOfOrder::class => PlantStates::class,
        WorkOfPlants::class => PlantWork::class,
        BuiltImporter::class => BuiltImport::class,
    ];

    /** Orders change what plants build. */
    public function register(): void
    {
        $this->app->resolving(
            ContentKinds::class,
            static fn(ContentKinds $kinds, Application $app) => $kinds->add($app->make(ManufacturingContents::class)),
        );
        $this->app->resolving(
            SubjectEditors::class,
            static fn(SubjectEditors $editors, Application $app) => $editors->add($app->make(PlantEditor::class)),
        );
    }
}
