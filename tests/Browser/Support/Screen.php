<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Assert;

/** What a person sees and does, in words: the test reads like a walk through the product. */
final readonly class Screen
{
    private const PATIENCE = 25;

    private const SETTLING = 3;

    public function __construct(public RemoteWebDriver $driver, private string $address) {}

    public function visit(string $path): self
    {
        $this->driver->get($this->address . $path);

        return $this;
    }

    public function signIn(string $login, string $path = '/'): self
    {
        $field = "//*[@id=//label[normalize-space()='Sign-in name']/@for]";
        for ($try = 0; $try < 3; $try++) {
            $this->signOut()->visit($path);
            $this->until(
                'a page, signed in or not',
                fn(): bool => $this->find($field) !== null || str_contains($this->text(), 'Find an item or a change'),
            );
            if ($this->find($field) !== null) {
                break;
            }
        }
        $this->type('Sign-in name', $login);
        $this->type('Password', 'quillback');
        $this->press('Sign in');
        $this->see('Find an item or a change');

        return $this;
    }

    /** As a person, who signs in only where somebody else is. */
    public function as(string $login, string $path = '/'): self
    {
        $this->visit($path);
        $me = $this->driver->executeAsyncScript("const done = arguments[arguments.length - 1];
            fetch('/api/session', {headers: {Accept: 'application/json'}}).then((answer) => answer.ok ? answer.json() : {}).then((me) => done(me.login ?? null), () => done(null));");

        return $me === $login ? $this : $this->signIn($login, $path);
    }

    /** Ends the session on the server too: an answer still on its way would bring the cookie back. */
    public function signOut(): self
    {
        // A request still under way would save its session again when it ends, after it has been ended here.
        $end = microtime(true) + self::PATIENCE;
        while ($this->driver->executeScript('return document.querySelector(".is-waiting") !== null') === true && microtime(true) < $end) {
            usleep(50_000);
        }
        $this->driver->get($this->address . '/up');
        $this->driver->executeAsyncScript("const done = arguments[arguments.length - 1];
            const token = decodeURIComponent((document.cookie.match(/XSRF-TOKEN=([^;]+)/) || ['', ''])[1]);
            fetch('/api/session', {method: 'DELETE', headers: {'X-XSRF-TOKEN': token, Accept: 'application/json'}}).finally(() => done());");
        $this->driver->manage()->deleteAllCookies();

        return $this;
    }

    /** The window as wide as this, in CSS pixels, which is what a zoomed window has left too. */
    public function wide(int $width): self
    {
        $this->driver->manage()->window()->setSize(new WebDriverDimension($width, 800));

        return $this;
    }

    /** Waits until the words are on the page. */
    public function see(string $words): self
    {
        $this->until("“{$words}” on the page", fn(): bool => str_contains($this->text(), $words));

        return $this;
    }

    public function dontSee(string $words): self
    {
        $this->until("no “{$words}” on the page", fn(): bool => !str_contains($this->text(), $words));

        return $this;
    }

    public function text(): string
    {
        return (string) $this->driver->executeScript('return document.body.innerText');
    }

    /** Presses a button or follows a link by its words. */
    public function press(string $words): self
    {
        $literal = self::literal($words);
        $this->click(
            "//button[normalize-space()={$literal} or @aria-label={$literal}] | //a[normalize-space()={$literal}] | //summary[normalize-space()={$literal}]",
        );

        return $this;
    }

    public function click(string $xpath): self
    {
        $this->until("something to press: {$xpath}", function () use ($xpath): bool {
            $found = $this->find($xpath);
            if ($found === null || !$found->isEnabled()) {
                return false;
            }
            $this->driver->executeScript('arguments[0].scrollIntoView({block: "center"})', [$found]);
            $this->settled();
            $found->click();

            return true;
        });

        return $this;
    }

    /** A page that still reads or moves is waited for, a little: what is pressed then could be something else by now. */
    public function settled(): self
    {
        $end = microtime(true) + self::SETTLING;
        $seen = null;
        do {
            $now = $this->driver->executeScript(
                'return document.querySelector(".is-waiting") ? "" : document.body.scrollHeight + " " + scrollY + " " + document.body.innerText.length',
            );
            if ($now !== '' && $now === $seen) {
                break;
            }
            $seen = $now;
            usleep(50_000);
        } while (microtime(true) < $end);

        return $this;
    }

    /** Opens a cell by a double click, until its editor of that label is there. */
    public function open(string $xpath, string $label): self
    {
        $this->settled();
        $editor = '//td[@role="gridcell"]//input[@aria-label=' . self::literal($label) . ']';
        $this->until("the cell “{$label}” open", function () use ($xpath, $editor): bool {
            if ($this->find($editor) === null) {
                $this->driver->action()->doubleClick($this->find($xpath))->perform();
            }

            return $this->find($editor) !== null;
        });

        return $this;
    }

    /** Types into the field of a label, in place of what is there. */
    public function type(string $label, string $words): self
    {
        $field = $this->field($label);
        $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys($words);

        return $this;
    }

    /** Chooses from the list of a label. */
    public function choose(string $label, string $option): self
    {
        $field = $this->field($label);
        // Not at the edge, where what stays in sight while one scrolls would be hit.
        $this->driver->executeScript('arguments[0].scrollIntoView({block: "center"})', [$field]);
        $this->settled();
        $field->click();
        $this->click('//*[@role="option"][starts-with(normalize-space(), ' . self::literal($option) . ')]');
        $this->until('the list closed', fn(): bool => $this->find('//*[@role="option"]') === null);

        return $this;
    }

    /** Finds an item by typing in the field of a label, and takes the first found. */
    public function pick(string $label, string $words): self
    {
        $this->type($label, $words);
        $this->click('//*[@role="option"][.//*[normalize-space()=' . self::literal($words) . ']]');

        return $this;
    }

    /** What a link leads to, as a file of this machine. */
    public function download(string $path): string
    {
        $content = $this->driver->executeAsyncScript(
            "const done = arguments[arguments.length - 1];
            fetch(arguments[0]).then((answer) => answer.blob()).then((blob) => { const reader = new FileReader(); reader.onload = () => done(reader.result.split(',')[1]); reader.readAsDataURL(blob); });",
            [$path],
        );
        $file = (string) tempnam(sys_get_temp_dir(), 'download-');
        file_put_contents($file, base64_decode((string) $content, true));

        return $file;
    }

    /** Drops a file onto the place where files are dropped. */
    public function drop(string $content, string $name): self
    {
        $this->driver->executeScript(
            '
            const place = [...document.querySelectorAll("label")].find((one) => one.textContent.startsWith("Drop a file here")).parentElement;
            const data = new DataTransfer();
            data.items.add(new File([arguments[0]], arguments[1]));
            for (const type of ["dragover", "drop"]) place.dispatchEvent(new DragEvent(type, {bubbles: true, cancelable: true, dataTransfer: data}));
            ',
            [$content, $name],
        );

        return $this;
    }

    public function keys(string ...$keys): self
    {
        $this->driver->getKeyboard()->sendKeys(array_values($keys));

        return $this;
    }

    public function field(string $label): RemoteWebElement
    {
        $literal = self::literal($label);
        $field = null;
        $this->until("a field “{$label}”", function () use ($literal, &$field): bool {
            $field = $this->find("//*[@aria-label={$literal}] | //*[@id=//label[normalize-space()={$literal}]/@for]");

            return $field !== null && $field->isEnabled();
        });

        return $field ?? throw new \LogicException('Unreachable.');
    }

    public function find(string $xpath): ?RemoteWebElement
    {
        foreach ($this->driver->findElements(WebDriverBy::xpath($xpath)) as $element) {
            if ($element->isDisplayed()) {
                return $element;
            }
        }

        return null;
    }

    /** @param  callable(): bool  $condition */
    public function until(string $what, callable $condition): void
    {
        $end = microtime(true) + self::PATIENCE;
        $seen = false;
        while (!$seen && microtime(true) < $end) {
            try {
                $seen = $condition();
            } catch (\Facebook\WebDriver\Exception\WebDriverException) {
                // The page was redrawn meanwhile: look again.
            }
            $seen || usleep(80_000);
        }
        // What is waited for is what the test asserts.
        Assert::assertTrue(
            $seen,
            $seen
                ? ''
                : "Waited in vain for {$what} at {$this->driver->getCurrentURL()}. The page reads:\n" . mb_substr($this->text(), 0, 3000),
        );
    }

    public static function literal(string $words): string
    {
        return str_contains($words, "'") ? '"' . $words . '"' : "'{$words}'";
    }
}
