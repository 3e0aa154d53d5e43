<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Stage;

it('makes a lesson of a song, settles a stage, plays it with its click in its bars, and practises it', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Ebb Steps', '| Dm7 | G7 | C6 | A7 | Dm7 | G7 | C6 | C6 |');
    $page->station('steps', '.stage-strip')->sees('Shapes alone')->sees('Bass and drums');
    $chosen = fn (): string => (string) $page->script('return document.querySelector(".stage-column.chosen .stage-name")?.textContent ?? ""');
    $page->element('[data-stage="damped-rhythm"]')->click();
    $page->waitFor(fn (): bool => str_contains($chosen(), 'Rhythm alone'), 'no stage is open');
    $page->sees('Still to come')->sees('bars 1–4');
    expect($page->element('.stage-words')->getAttribute('value'))->toContain('Count aloud');
    $lamps = fn (): array => (array) $page->script(
        'return [...document.querySelectorAll(".transport [aria-label^=\\"Click on beat\\"]")].map((lamp) => lamp.ariaPressed)',
    );
    $page->waitFor(fn (): bool => $lamps() === ['true', 'true', 'true', 'true'], 'the click is silent');
    $page->keys('h');
    $page->waitFor(fn (): bool => preg_match('/^[1-4] \. [1-4]$/', $page->words('.place')) === 1, 'nothing plays');
    $page->keys(' ');
    // Carried one earlier by key, and kept.
    $number = fn (): string => trim((string) $page->script('return document.querySelector(".stage-column.chosen .stage-name b")?.textContent ?? ""'));
    $before = (int) $number();
    $page->chord(WebDriverKeys::SHIFT, WebDriverKeys::ARROW_LEFT)
        ->waitFor(fn (): bool => (int) $number() === $before - 1, 'it is not carried');
    $page->saved()->driver->navigate()->refresh();
    $page->waitFor(fn (): bool => str_contains($chosen(), 'Rhythm alone') && (int) $number() === $before - 1, 'the order is lost');
    $page->keys('p')->element('.lock-more');
    $page->sees('Rhythm alone');
    expect($page->driver->getCurrentURL())->toEndWith('/lock');
});

it('arranges a part for a guitar alone, and changes from one to the other while it plays', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Lone Buoy', '| Am7 | D7 | G6 | % |');
    $page->station('steps', '.stage-strip')->press('Arrange it alone')->element('[aria-label="Arrangement"]');
    $page->keys(' ')->waitFor(fn (): bool => preg_match('/^\d \. \d$/', $page->words('.place')) === 1, 'nothing plays');
    $page->keys("'")->waitFor(
        fn (): bool => (bool) $page->script('return document.querySelector("[aria-label=Arrangement] .ant-segmented-item-selected")?.textContent === "alone"'),
        'it does not change',
    );
    $page->keys(' ')->station('hand', '.hand-wave')->saved();
    expect((int) $page->script('return document.querySelectorAll(".blade:not(.blade-air)").length'))->toBeGreaterThan(0);
});

afterEach(fn () => Stage::running()->endExtraPages());
