<?php

declare(strict_types=1);

use Database\Seeders\DatabaseSeeder;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Page;
use Tests\Browser\Support\Stage;

/** Goes to a bar by its number, in the pass that is chosen or the first. */
function jumpToBar(Page $page, int $bar): void
{
    $page->keys('j')->fill('[aria-label="Jump to bar"]', $bar.WebDriverKeys::ENTER)->element('.pass-editor');
    $page->waitFor(fn (): bool => str_contains($page->words('.pass-place'), "bar {$bar}"), "bar {$bar} is not chosen");
}

/** How often something stands under the bars of each pass. */
function inPasses(Page $page, string $css): array
{
    return (array) $page->script(
        'return [...document.querySelectorAll(".pass-row")].map((row) => row.querySelectorAll(arguments[0]).length)',
        [$css],
    );
}

it('takes a twelve-bar song apart pass by pass: register, answer, turnaround and rings, heard as they are set', function (): void {
    $page = Stage::running()->teacher()
        ->makeBreakdown('Quay Blues', '| C7 | F9 | C7 | C7 | F9 | F9 | C7 | C7 | G7 | F9 | C7 | C7 |');
    // The last two bars turn round, by rule.
    $bars = fn (): array => explode(' | ', $page->words('.chart-bar'));
    $plain = $bars();
    $page->keys('l')->element('.form-turnarounds li button')->click();
    $page->waitFor(fn (): bool => array_slice($bars(), 10) !== array_slice($plain, 10), 'nothing turns');
    expect(array_slice($bars(), 0, 10))->toBe(array_slice($plain, 0, 10))->and($bars())->toHaveCount(12);
    $page->keys(WebDriverKeys::ESCAPE);
    foreach (range(2, 5) as $passes) {
        $page->press('Add a pass')->waitFor(fn (): bool => count($page->all('.pass-row')) === $passes, "there is no pass {$passes}");
    }
    // Pass 1 is quiet and lets two bars ring.
    jumpToBar($page, 7);
    $page->chord(WebDriverKeys::SHIFT, WebDriverKeys::ARROW_RIGHT);
    $page->keys('r')->waitFor(fn (): bool => count($page->all('[aria-label$="rings only"]')) === 2, 'no two bars ring');
    // Pass 2 answers in bars 3 and 4.
    $page->keys(WebDriverKeys::ARROW_DOWN);
    jumpToBar($page, 3);
    $page->keys('i')->fill('[aria-label="Name of the figure"]', 'Answer');
    $page->fill('.figure-line', '1=2:8 &=2:11 2=1:8 (&) 3=3:9+2:8 (&) (4) | (1) & 2=3:9+4:8 (3) (4)')->press('Keep it here')
        ->waitFor(fn (): bool => inPasses($page, '.bar-note.figure') === [0, 1, 0, 0, 0], 'the answer is not in the second pass alone');
    // The fourth pass lies higher, by grips of its own.
    $page->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_DOWN, 'a')->choose('Grips of these bars', 'of its own');
    $page->waitFor(fn (): bool => str_contains($page->words('.place-chooser'), '4th'), 'the bench stays behind');
    $page->station('shapes', '.candidate')->press('Ask of the line …')->fill('[aria-label="Lowest fret"]', '7')->saved();
    $page->station('chart', '.pass-row');
    $hands = fn (): array => (array) $page->script(
        'return [...document.querySelectorAll(".pass-row")].map((row) => row.querySelector(".hand-on-neck").textContent)',
    );
    $page->waitFor(
        fn (): bool => preg_match('/frets (\d+)/', $hands()[3], $found) === 1 && (int) $found[1] >= 7,
        'the fourth pass lies no higher',
    );
    // And the last is louder.
    $page->keys(
        WebDriverKeys::ARROW_DOWN,
        WebDriverKeys::ARROW_DOWN,
        WebDriverKeys::ARROW_DOWN,
        WebDriverKeys::ARROW_DOWN,
        WebDriverKeys::ARROW_DOWN,
        'a',
        '+',
    )
        ->sees('louder');
    $page->keys(WebDriverKeys::ESCAPE)->press('Hear the 2nd')
        ->waitFor(fn (): bool => inPasses($page, '.now') === [0, 1, 0, 0, 0], 'the second pass does not sound');
    $page->keys(' ')->saved();
    $page->driver->navigate()->refresh();
    $page->waitFor(fn (): bool => inPasses($page, '.bar-note.figure') === [0, 1, 0, 0, 0], 'the passes are lost in the reload');
});

it('gives a riff a register for every pass, fixes a note, has it answered, and prints it', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Slipway Riff', '| A7 | D7 | A7 | A7 |');
    $page->press('Add a pass')->waitFor(fn (): bool => count($page->all('.pass-row')) === 2, 'there is no second pass');
    jumpToBar($page, 1);
    $page->keys('i')->fill('[aria-label="Name of the figure"]', 'Slipway')->fill('.figure-line', '6:5 5:4 5:7 6:5');
    $page->element('[title="every pass"]')->click();
    $page->press('Keep it here')->waitFor(fn (): bool => inPasses($page, '.bar-note.figure') === [1, 1], 'the riff is not in both passes');
    $page->keys('i')->press('Propose a register for every pass')->sees('an octave up')->press('Play it so')
        ->waitFor(fn (): bool => $page->all('.figure-sheet') === [], 'the plan is not taken');
    $frets = 'return [...document.querySelectorAll(".figure-tab .tab-fret")].map((fret) => fret.textContent).join(" ")';
    $tab = fn (): string => $page->keys('i')->waitFor(fn (): string|false => $page->script($frets) ?: false, 'no tab is drawn');
    $low = $tab();
    $page->keys(WebDriverKeys::ESCAPE, WebDriverKeys::ARROW_DOWN);
    $high = $tab();
    expect($low)->toBe('5 4 7 5')->and($high)->not->toBe($low);
    // One note is wanted elsewhere, whatever the rule says.
    $page->keys(WebDriverKeys::ARROW_RIGHT)->element('.tab-step.chosen');
    $page->script('[...document.querySelectorAll(".press-place")].find((place) => place.textContent === "String 4, fret 7")
        .dispatchEvent(new MouseEvent("click", { bubbles: true }))');
    $page->sees('Fixed here')->press('Keep it here')->waitFor(fn (): bool => $page->all('.figure-sheet') === [], 'the note is not kept');
    expect($tab())->toStartWith('7 ');
    $page->keys(WebDriverKeys::ESCAPE, 'a', 'e')->waitFor(fn (): bool => inPasses($page, '.bar-note.figure') === [1, 4], 'nothing answers');
    $page->keys(WebDriverKeys::ESCAPE)->station('handout', '.sheet-pages [data-part=figures]');
    $page->waitFor(
        fn (): bool => str_contains($page->words('.sheet-pages [data-part=figures]'), 'answer to Slipway'),
        'the answer is not printed',
    );
    expect($page->words('.sheet-pages [data-part=passes]'))->toContain('answer to Slipway');
});

it('lets a student lock to one pass of the song', function (): void {
    $page = Stage::running()->page()->open('/');
    $page->element('input[name=email]')->sendKeys(DatabaseSeeder::STUDENT['email']);
    $page->element('input[name=password]')->sendKeys(DatabaseSeeder::STUDENT['password']);
    $page->press('Sign in')->fill(
        'input[aria-label="Search the shelf"]',
        'Pilot Stairs',
    )->sees('1 match')->press('Open')->element('.title-row');
    $page->station('lock', '.empty')->choose('Bars to record', '2nd pass');
    $page->undisturbed(function () use ($page): void {
        $page->keys(WebDriverKeys::ESCAPE, 'r')->sees('Bar 1 of 12');
        foreach (['f', 'f', 'j', 'f', 'f', 'j'] as $tap) {
            $page->keys($tap);
        }
        $page->keys(WebDriverKeys::ESCAPE)->waitFor(fn (): bool => str_contains($page->words('.take-list'), 'Take 1'), 'the take is lost');
    });
    expect($page->words('.take-list'))->toContain('bars 13–24')->and($page->words('.report > .muted'))->toContain('bars 13–24');
});

afterEach(fn () => Stage::running()->endExtraPages());
