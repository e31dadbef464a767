<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebDriver;
use PHPUnit\Framework\TestCase;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Screen;

/** Drives the real product: nginx, php-fpm, the queue worker and the planning stand-in that bin/test has started. */
abstract class BrowserTestCase extends TestCase
{
    private static ?RemoteWebDriver $driver = null;

    protected Screen $screen;

    protected string $address;

    protected function setUp(): void
    {
        parent::setUp();
        $this->address = (string) getenv('BROWSER_URL');
        if ($this->address === '') {
            $this->markTestSkipped('bin/test starts the product for these tests.');
        }
        self::$driver ??= Chromium::open();
        self::$driver->manage()->timeouts()->setScriptTimeout(30);
        $this->screen = new Screen(self::$driver, $this->address);
    }

    public static function tearDownAfterClass(): void
    {
        self::$driver?->quit();
        self::$driver = null;
        parent::tearDownAfterClass();
    }
}
