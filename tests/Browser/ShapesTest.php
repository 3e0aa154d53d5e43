<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Stage;

it('names a grip in the key of the tune from anywhere, and pins it where its chord stands', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Name Plate', '| C |');
    $page->choose('Key', 'F major')->waitFor(fn (): bool => str_contains($page->words('.summary'), 'F major'), 'the key is not F');
    $page->fill('.chart-line textarea', '| F | C9 | F | C9 |')->waitFor(
        fn (): bool => $page->words('.bar-chord') === 'F | C9 | F | C9',
        'the line is not read',
    );
    $page->keys('q')->fill('[aria-label="Grip or chord"]', 'x 7 8 7 8 x')->sees('V9 in F major, root not played');
    expect($page->words('.name-list b'))->toStartWith('Em7♭5 | C9');
    $page->element('[data-place="5-8"]')->click();
    $page->waitFor(
        fn (): bool => $page->element('[aria-label="Grip or chord"]')->getAttribute('value') === 'x 7 8 7 8 8',
        'a press on the neck is not heard',
    );
    $page->element('[data-place="5-8"]')->click();
    $page->press('Pin as C9')->sees('Pinned at all 2 places');
    $page->station('shapes', '.sheets .sheet');
    $page->waitFor(fn (): bool => substr_count($page->words('.sheet'), '◆ pinned') === 2, 'the grip is not pinned at both places');
    $page->chord(WebDriverKeys::CONTROL, 'z')->waitFor(
        fn (): bool => substr_count($page->words('.sheet'), '◆ pinned') === 0,
        'undo does not take the pins back',
    );
});

it('leads the line by what is asked of it, and to a second place on the neck', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Two Places', '| Dm6 | B♭7 | Gm7 | A7 |')->station('shapes', '.candidate');
    $frets = fn (): string => $page->words('.sheet .frets');
    $first = $frets();
    $page->keys('e')->sees('The same line in another place')->waitFor(fn (): bool => $frets() !== $first, 'the line has not moved');
    $second = $frets();
    $page->press('Pin this one instead')->waitFor(
        fn (): bool => substr_count($page->words('.sheet'), '◆ pinned') === 4,
        'the second place is not pinned',
    );
    expect($frets())->toBe($second);
    $page->chord(WebDriverKeys::CONTROL, 'z')->waitFor(fn (): bool => $frets() === $first, 'undo does not bring the first place back');
    $page->press('Ask of the line …');
    $page->fill('[aria-label="Lowest fret"]', '7')->waitFor(fn (): bool => $frets() !== $first, 'the window changes nothing');
    $used = array_map(intval(...), array_filter(preg_split('/[^0-9]+/', $frets()) ?: [], static fn (string $fret): bool => $fret !== ''));
    expect(min($used))->toBeGreaterThanOrEqual(7);
});

it('maps the double stops of a chord string pair by string pair, and the fills around its grip', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Sea Map', '| C | F |')->station('shapes', '.candidate');
    $page->keys('m')->element('.map-neck .stop');
    expect($page->words('.neck-map h2'))->toBe('Double stops on C')
        ->and($page->words('.stop-list'))->toContain('E4 G4 = 3 5, third');
    $page->choose('String pair', 'strings 3 and 1')->waitFor(
        fn (): bool => str_contains($page->words('.stop-list'), 'sixth'),
        'there are no sixths',
    );
    $page->keys(WebDriverKeys::ARROW_DOWN)->waitFor(
        fn (): bool => $page->words('.neck-map h2') === 'Double stops on F',
        'the map does not follow the chord',
    );
    $page->element('[aria-label="Map of"] label:nth-child(2)')->click();
    $page->waitFor(
        fn (): bool => $page->words('.neck-map h2') === 'Fills on F' && count($page->all('.map-neck .stop')) > 8,
        'there are no notes for fills',
    );
});

it('puts the capo where the grips are open, writes what is held beside what sounds, and tells how to retune', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Half Tide', '| C |');
    $page->choose('Key', 'E♭ major')->fill('.chart-line textarea', '| E♭ | A♭ | B♭7 | E♭ |')->waitFor(
        fn (): bool => $page->words('.bar-chord') === 'E♭ | A♭ | B♭7 | E♭',
        'the line is not read',
    );
    $page->station('shapes', '.candidate')->keys('c')->sees('Open grips');
    $page->waitFor(
        fn (): bool => str_starts_with($page->words('.capo-table tbody tr:first-child td'), 'fret 1 | D major | 3 of 3'),
        'the capo is not planned',
    );
    $page->press('D major')->sees('Take it off fret 1');
    $page->choose('The guitar is in', 'Open D')->waitFor(
        fn (): bool => str_contains($page->words('.retune-list .to-do'), '1 semitone up'),
        'the third string is not to be retuned',
    );
    $page->station('chart', '.held');
    expect($page->words('.held'))->toBe('D | G | A7 | D');
    $page->chord(WebDriverKeys::CONTROL, 'z')->waitFor(fn (): bool => $page->all('.held') === [], 'undo does not take the capo off');
});

it('prepares a twelve-bar line with keys alone: company, a linked grip, an approach in what is heard, and a second place', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown(
        'Harbour Twelve',
        '| G9 | C9 | G9 | % | C9 | % | G9 | % | D9 | C9 | G9 | D9 |',
    )->station('shapes', '.candidate');
    $frets = fn (int $row): string => explode(' | ', $page->words('.sheet .frets'))[$row] ?? '';
    $company = fn (): string => trim($page->words('.view-tab.company'));
    $page->waitFor(fn (): bool => str_starts_with($company(), 'With a bass'), 'the company is not shown');
    $rootless = $page->words('.sheet .frets');
    $page->keys('b', 'b')->waitFor(
        fn (): bool => str_starts_with($company(), 'Alone') && $page->words('.sheet .frets') !== $rootless,
        'alone, the grips stay as they were',
    );
    $page->keys('b')->waitFor(fn (): bool => $page->words('.sheet .frets') === $rootless, 'with a bass again, the grips do not come back');

    // The IV is chosen by its second-best grip and linked: every other C9 follows, and every D9 two frets up.
    $page->keys(WebDriverKeys::ARROW_DOWN)->waitFor(
        fn (): bool => str_contains($page->words('.sheet.chosen'), 'C9'),
        'the IV is not chosen',
    );
    $page->element('.candidates[aria-busy=false] .candidate.chosen');
    $page->keys(WebDriverKeys::ARROW_RIGHT, 'k')->waitFor(
        fn (): bool => str_contains($page->words('.sheet.chosen'), '◆ leads'),
        'the grip does not lead',
    );
    $page->waitFor(fn (): bool => substr_count($page->words('.sheet'), '◇ follows') === 5, 'the others do not follow');
    $fret = static fn (string $grip): array => array_map(
        static fn (string $one): int => (int) $one,
        array_filter(explode(' ', $grip), static fn (string $one): bool => $one !== 'x'),
    );
    $apart = array_unique(array_map(static fn (int $five, int $four): int => $five - $four, $fret($frets(8)), $fret($frets(1))));
    expect(count($apart))->toBe(1)->and(current($apart))->toBe(2);

    $page->keys('a')->sees('Slide in from a fret below')->keys('1')->sees('Take it out');
    $page->station('chart', '.approach');
    expect($page->words('.approach'))->toContain('slide up');
    $page->station('shapes', '.candidate')->keys('e')->sees('pins left aside: the hand travels');
    $page->keys('w')->sees('bpm');
    $page->chord(WebDriverKeys::CONTROL, 'z')->station('chart', '.bar-chord')->waitFor(
        fn (): bool => $page->all('.approach') === [],
        'undo does not take the approach out',
    );
});

it('reads along, asks about a stale fret, and mends it with one click', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Stale Rope', '| C9 | D9 |')->station('shapes', '.candidate');
    $frets = fn (): string => $page->words('.sheet .frets');
    $page->keys('g')->fill('[aria-label^="Frets for C9"]', 'x 3 2 3 3 x')->press('Pin these')->waitFor(
        fn (): bool => str_starts_with($frets(), 'x 3 2 3 3 x'),
        'the typed grip is not pinned',
    );
    $page->keys(WebDriverKeys::ARROW_DOWN, 'g')->fill('[aria-label^="Frets for D9"]', 'x 5 4 3 5 x')->press('Pin these')->waitFor(
        fn (): bool => $frets() === 'x 3 2 3 3 x | x 5 4 3 5 x',
        'the wrong grip is not pinned as it was typed',
    );
    $page->keys('p')->sees('string 3 stayed at fret 3')->press('Move that string too: x 5 4 5 5 x')->sees('Nothing to ask about');
    $page->keys('p')->waitFor(fn (): bool => $page->all('.sheet') !== [], 'the sheets do not come back');
    expect($frets())->toBe('x 3 2 3 3 x | x 5 4 5 5 x');
});
