<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Contracts\Foundation\Application;
use Illuminate\Support\Facades\Event;

/** Who hears of every act. One of each is made for a request: a release of five hundred items is five hundred acts. */
final class ActListeners
{
    /** @param  class-string  ...$listeners  in the order in which they hear of it */
    public static function add(Application $app, string ...$listeners): void
    {
        foreach ($listeners as $one) {
            $app->scopedIf($one);
            Event::listen(Act::class, $one);
        }
    }
}
