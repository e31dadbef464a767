<?php

declare(strict_types=1);

use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverExpectedCondition;
use Tests\Browser\Support\Chromium;

/**
 * Scrolls in a browser and counts the frames that took longer than 33 ms, two of a screen that shows sixty a second. A box with nothing in
 * it is scrolled as far before each round: what it takes is the machine's own.
 */
final readonly class Scrolling
{
    /** Pixels: a flick of a wheel a frame, through some four hundred rows. */
    private const A_FRAME = 120;

    private const FAR = 13_500;

    /** Two frames of 16.67 ms, with what a clock may be off. */
    private const MOST = 33.5;

    /** The most of a round that may have been taken away by the machine below ours. */
    private const TAKEN = 0.02;

    private const SCRIPT = <<<'JS'
    const [aFrame, far, done] = arguments;
    const box = [...document.querySelectorAll('div')].reduce((a, b) => (b.scrollHeight - b.clientHeight > a.scrollHeight - a.clientHeight ? b : a));
    const frames = [];
    const from = box.scrollTop + far * 2 > box.scrollHeight ? 0 : box.scrollTop;
    let last, at = from;
    const step = (now) => {
        if (last !== undefined) frames.push(now - last);
        last = now;
        at += aFrame;
        box.scrollTop = at;
        if (at < from + far) requestAnimationFrame(step);
        else done(frames);
    };
    requestAnimationFrame(step);
    JS;

    private RemoteWebDriver $browser;

    public function __construct(private string $address, string $login, string $password)
    {
        $this->browser = Chromium::open();
        $this->browser->manage()->timeouts()->setScriptTimeout(60);
        $this->browser->get($address);
        $fields = WebDriverBy::cssSelector('form input');
        $this->browser->wait(30)->until(WebDriverExpectedCondition::presenceOfElementLocated($fields));
        [$name, $secret] = $this->browser->findElements($fields);
        $name->sendKeys($login);
        $secret->sendKeys($password)->submit();
        $this->browser
            ->wait(30)
            ->until(WebDriverExpectedCondition::invisibilityOfElementLocated(WebDriverBy::cssSelector('[type=password]')));
    }

    /**
     * Where the processors are shared with other machines, a frame is late because they were taken away. A round in which they were says
     * nothing of the page: it is counted apart, and another is tried.
     *
     * @return array{tried: int, over_of_all: int, rounds: int, frames: int, worst_ms: float, over: int, idle_clean_rounds: int}
     */
    public function measure(string $path, int $rounds = 12, int $tries = 60): array
    {
        $this->browser->get($this->address . $path);
        $this->browser->wait(60)->until(WebDriverExpectedCondition::presenceOfElementLocated(WebDriverBy::cssSelector('tbody td')));
        // What is read in the background is there by then.
        sleep(20);
        $page = $this->browser->getWindowHandle();
        $this->browser->switchTo()->newWindow();
        $this->browser->get('data:text/html,<div style="height:600px;overflow:auto"><div style="height:660000px"></div></div>');
        $idle = $this->browser->getWindowHandle();
        $late = static fn(array $frames): int => count(array_filter($frames, static fn(float $ms): bool => $ms > self::MOST));
        $ours = $all = [];
        $idleClean = 0;
        for ($tried = 0; $tried < $tries && count($ours) < $rounds; $tried++) {
            $empty = $this->frames($idle);
            [$before, $frames, $after] = [Processors::now(), $this->frames($page), Processors::now()];
            array_push($all, ...$frames);
            if ($after->takenSince($before) > self::TAKEN) {
                continue;
            }
            $ours[] = $frames;
            $idleClean += $late($empty) === 0 ? 1 : 0;
        }
        $counted = array_merge(...$ours);

        return [
            'tried' => $tried,
            'over_of_all' => $late($all),
            'rounds' => count($ours),
            'frames' => count($counted),
            'worst_ms' => round($counted === [] ? 0.0 : max($counted), 1),
            'over' => $late($counted),
            'idle_clean_rounds' => $idleClean,
        ];
    }

    /** @return non-empty-list<float> milliseconds of each frame */
    private function frames(string $window): array
    {
        $this->browser->switchTo()->window($window);
        usleep(500_000);

        return array_map(floatval(...), $this->browser->executeAsyncScript(self::SCRIPT, [self::A_FRAME, self::FAR]));
    }
}
