<?php

declare(strict_types=1);

namespace App\Requests;

use App\Problems\GatheringRequests;
use Illuminate\Support\ServiceProvider;

final class Provider extends ServiceProvider
{
    /**
     * What lower floors want to know of requests.
     *
     * @var array<class-string, class-string>
     */
    public array $bindings = [GatheringRequests::class => RequestsOfReports::class];
}
