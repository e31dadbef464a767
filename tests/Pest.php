<?php

declare(strict_types=1);

use Illuminate\Foundation\Testing\DatabaseTransactions;
use Tests\Browser\BrowserTestCase;
use Tests\TestCase;

pest()->extend(TestCase::class)->use(DatabaseTransactions::class)->in('Feature', 'Demo');
pest()->extend(BrowserTestCase::class)->in('Browser');
