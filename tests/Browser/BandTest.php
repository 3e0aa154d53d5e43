<?php

declare(strict_types=1);

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Gravik\Formats\MidiFile;
use Gravik\Performance\Performer;
use Gravik\Tests\Support\Examples;
use Tests\Browser\Support\Stage;

it('finds the keys in the guitar\'s way, lets both be heard, and settles it by one key that can be taken back', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Pier Band', '| Dm7 | G7 | C6 | A7 |');
    $page->station('band', '.who-speaks')->press('Line-up …')->press('keys');
    $page->keys(WebDriverKeys::ESCAPE);
    $roles = fn (): array => (array) $page->script(
        'return [...document.querySelectorAll(".roles td")].map((cell) => cell.className.includes("passive") ? "passive" : "active")',
    );
    $page->waitFor(fn (): bool => $roles() === ['active', 'active', 'active', 'active'], 'the keys do not join');
    $page->waitFor(fn (): bool => str_contains($page->words('.clashes h2 + ol'), 'Two lead at once'), 'nobody says that two lead');
    // Mended first, to be heard; nothing has changed yet.
    $page->keys('j')->sees('it plays mended')->keys('h')->sees('it plays as it is');
    expect($roles())->not->toContain('passive');
    $page->keys(WebDriverKeys::ESCAPE)->keys(WebDriverKeys::ENTER)
        ->waitFor(fn (): bool => in_array('passive', $roles(), true), 'nobody holds back');
    $page->waitFor(fn (): bool => ! str_contains($page->words('.clashes h2 + ol'), 'Two lead at once'), 'two still lead');
    $page->chord(WebDriverKeys::CONTROL, 'z')->waitFor(
        fn (): bool => str_contains($page->words('.clashes h2 + ol'), 'Two lead at once'),
        'it is not taken back',
    );
    $page->saved();
});

it('takes a second guitar and a tune into the band, has the tune doubled, and changes seats', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Slipway Tune', '| Dm7 | G7 | C6 | A7 |');
    $song = Examples::breakdown();
    $file = sys_get_temp_dir().'/ebb.mid';
    file_put_contents($file, (new MidiFile())->write($song, (new Performer())->perform($song)));
    $rows = fn (): array => (array) $page->script('return [...document.querySelectorAll(".who-name")].map((name) => name.textContent)');
    $page->station('band', '.who-speaks')->press('Line-up …')->press('second guitar')->press('lead');
    $page->waitFor(fn (): bool => count($rows()) === 5, 'not all have joined');
    expect($rows())->toBe(['drums', 'bass', 'guitar', 'guitar 2', 'lead']);
    $page->sees('The lead solos')->driver->findElement(WebDriverBy::cssSelector('input[aria-label="Tune of the lead"]'))
        ->setFileDetector(new LocalFileDetector())->sendKeys($file);
    $loud = fn (string $part): string => (string) $page->script(
        'return document.querySelector(`[aria-label="Loudness of the ${arguments[0]}"]`)?.getAttribute("aria-valuenow")',
        [$part],
    );
    $page->sees('The lead plays “ebb”')->press('Change seats');
    $page->waitFor(fn (): bool => [$loud('guitar'), $loud('guitar 2')] === ['0.5', '0.8'], 'the seats are not changed');
    $silent = fn (): bool => (bool) $page->script('return document.querySelectorAll(".who-row")[3].querySelector(".stroke") === null');
    $page->keys(WebDriverKeys::ESCAPE)->choose('guitar 2 in A, 1st', 'out')->waitFor($silent, 'the second guitar plays on');
    $page->choose('guitar 2 in A, 1st', 'doubles the melody')->waitFor(fn (): bool => ! $silent(), 'nobody doubles the melody');
    $page->saved();
});

afterEach(fn () => Stage::running()->endExtraPages());
