<?php

declare(strict_types=1);

namespace Tests;

use App\Documents\Jobs\DrawThumbnail;
use App\FollowThrough\Jobs\CloseIfDone;
use App\FollowThrough\Jobs\FollowOrder;
use App\Verification\Jobs\RunVerification;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Queue;

abstract class TestCase extends LaravelTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        // Nothing leaves the house in a test unless the test says what answers.
        Http::preventStrayRequests();
        // Each release asks planning in the background what still names the old; a test that is about that asks by itself.
        Queue::fake([FollowOrder::class, RunVerification::class, CloseIfDone::class, DrawThumbnail::class]);
        // Inside of the transaction of the test, which a process of its own would not see.
        config()->set('orthotaxis.files.read_apart', false);
    }

    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null)
    {
        // As in a process of its own: nothing is left of the request before.
        $this->app->forgetScopedInstances();

        return parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
    }
}
