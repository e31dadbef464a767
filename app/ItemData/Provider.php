<?php

declare(strict_types=1);

namespace App\ItemData;

use App\ItemData\Actions\DataEditor;
use App\Orders\Contents\ContentKinds;
use App\Orders\Subjects\SubjectEditors;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    /** Orders change what is known of items. */
    public function register(): void
    {
        $this->app->resolving(
            ContentKinds::class,
            static fn(ContentKinds $kinds, Application $app) => $kinds->add($app->make(ItemDataContents::class)),
        );
        $this->app->resolving(
            SubjectEditors::class,
            static fn(SubjectEditors $editors, Application $app) => $editors->add($app->make(DataEditor::class)),
        );
    }
}
