<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Stage;

it('finds the keys in the guitar\'s way, lets both be heard, and settles it by one key that can be taken back', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Pier Band', '| Dm7 | G7 | C6 | A7 |');
    $page->station('band', '.who-speaks')->press('Line-up …')->press('keys');
    $page->script('document.querySelector(".station-head h2").click()');
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

afterEach(fn () => Stage::running()->endExtraPages());
