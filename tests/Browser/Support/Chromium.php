<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;

/** Debian's Chromium in the build that draws on no monitor, driven through ChromeDriver. */
final class Chromium
{
    /** @var ?resource */
    private static $process = null;

    private static string $address = '';

    /** @var list<RemoteWebDriver> ended with ChromeDriver, which would leave them behind */
    private static array $open = [];

    public static function open(int $width = 1280, int $height = 800): RemoteWebDriver
    {
        self::start();
        $options = (new ChromeOptions())->setBinary('/usr/bin/chromium-headless-shell')->addArguments([
            '--no-sandbox',
            '--disable-gpu',
            // Three dimensions, reckoned without a graphics card.
            '--use-angle=swiftshader',
            '--enable-unsafe-swiftshader',
            '--disable-quic',
            '--no-first-run',
            '--disable-dev-shm-usage',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--hide-scrollbars',
            "--window-size={$width},{$height}",
            '--force-device-scale-factor=1',
            '--lang=en-GB',
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        self::$open[] = $driver = RemoteWebDriver::create(self::$address, $capabilities, 20_000, 60_000);
        // The window is as large as asked inside its frame.
        $inner = $driver->executeScript('return [window.outerWidth - window.innerWidth, window.outerHeight - window.innerHeight]');
        $driver->manage()->window()->setSize(new \Facebook\WebDriver\WebDriverDimension($width + $inner[0], $height + $inner[1]));

        return $driver;
    }

    private static function start(): void
    {
        if (self::$process !== null) {
            return;
        }
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No free port for ChromeDriver.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        self::$process =
            proc_open(
                ['chromedriver', "--port={$port}", '--log-level=WARNING'],
                [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
                $pipes,
            ) ?:
            throw new \RuntimeException(
                'ChromeDriver does not start. Install the Debian packages chromium-headless-shell and chromium-driver.',
            );
        self::$address = "http://127.0.0.1:{$port}";
        register_shutdown_function(static function (): void {
            foreach (self::$open as $driver) {
                try {
                    (new ChromeDevToolsDriver($driver))->execute('Browser.close');
                } catch (WebDriverException) {
                    // It is gone before it answers.
                }
            }
            if (self::$process !== null) {
                proc_terminate(self::$process);
            }
        });
        $curl = curl_init(self::$address . '/status');
        curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 1]);
        for ($i = 0; $i < 100; $i++) {
            if (curl_exec($curl) !== false) {
                return;
            }
            usleep(100_000);
        }
        throw new WebDriverException('ChromeDriver does not answer.');
    }
}
