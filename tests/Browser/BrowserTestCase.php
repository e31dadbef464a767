<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverDimension;
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

    /** The next file finds the browser as if it had just been started; it ends with ChromeDriver, when all are done. */
    public static function tearDownAfterClass(): void
    {
        if (self::$driver !== null) {
            try {
                self::$driver->get(getenv('BROWSER_URL') . '/up');
                self::$driver->executeScript('localStorage.clear(); sessionStorage.clear();');
                self::$driver->manage()->deleteAllCookies();
                self::$driver->manage()->window()->setSize(new WebDriverDimension(1280, 800));
            } catch (WebDriverException) {
                self::$driver = null;
            }
        }
        parent::tearDownAfterClass();
    }
}
