<?php

declare(strict_types=1);

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;

/* The design model of an item, in three dimensions: read in a worker, drawn by WebGL. */

it('shows a model: what is pressed lights up in the list, and the other way round; two revisions in one picture', function (): void {
    $this->screen->signIn('mira.okafor', '/items/200-0010/model')->see('Tube clamp')->see('Oblique');
    $canvas = $this->screen->driver->findElement(WebDriverBy::cssSelector('canvas'));
    // In its middle stands the housing, or what is fixed to it.
    (new WebDriverActions($this->screen->driver))->moveToElement($canvas, 0, 60)->click()->perform();
    $this->screen->see('Show all alike');
    expect($this->screen->find('//tr[contains(@class, "bg-accent-soft")]'))->not->toBeNull();
    $this->screen->press('Show all alike')->press('Cut along z');
    expect($this->screen->find('//input[@type="range"]'))->not->toBeNull();
    // What is cut is hatched: strokes that are neither ink, as edges are, nor as bright as a face.
    $strokes = static function () use ($canvas): int {
        $picture = imagecreatefromstring((string) $canvas->takeElementScreenshot());
        for ($many = 0, $x = 0; $x < imagesx($picture); $x++) {
            for ($y = 0; $y < imagesy($picture); $y++) {
                $green = (imagecolorat($picture, $x, $y) >> 8) & 0xff;
                $many += $green > 60 && $green < 110 ? 1 : 0;
            }
        }

        return $many;
    };
    $hatched = $strokes();
    $this->screen->press('Whole');
    usleep(1_000_000);
    expect($hatched)->toBeGreaterThan($strokes() + 2_000);
    $this->screen->choose('Compared with', 'D, 200-0010.stp')->see('Unchanged too')->see('Dashed: as it was');
    $of = fn(string $number): string => (string) $this->screen->find("//tr[.//*[text()='{$number}']]/td[1]")?->getText();
    expect($of('200-0011'))
        ->toContain('changed')
        ->and($of('200-0042'))
        ->toContain('moved')
        ->and($of('600-0082'))
        ->toContain('added')
        ->and($of('600-0083'))
        ->toContain('removed')
        ->and($this->screen->find("//tr[.//*[text()='200-0012']]"))
        ->toBeNull();
});
