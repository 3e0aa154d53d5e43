<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Stage;

it('names a grip in the key of the tune from anywhere, and pins it where its chord stands', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Name Plate', '| C |');
    $page->choose('Key', 'F major')->waitFor(fn (): bool => str_contains($page->words('.summary'), 'F major'), 'the key is not F');
    $page->fill('.chart-line textarea', '| F | C9 | F | C9 |')->waitFor(fn (): bool => $page->words('.bar-chord') === 'F | C9 | F | C9', 'the line is not read');
    $page->keys('q')->fill('[aria-label="Grip or chord"]', 'x 7 8 7 8 x')->sees('V9 in F major, root not played');
    expect($page->words('.name-list b'))->toStartWith('C9 | Em7♭5');
    $page->element('[data-place="5-8"]')->click();
    $page->waitFor(fn (): bool => $page->element('[aria-label="Grip or chord"]')->getAttribute('value') === 'x 7 8 7 8 8', 'a press on the neck is not heard');
    $page->element('[data-place="5-8"]')->click();
    $page->press('Pin as C9')->sees('Pinned at all 2 places');
    $page->station(2, '.sheets .sheet');
    $page->waitFor(fn (): bool => substr_count($page->words('.sheet'), '◆ pinned') === 2, 'the grip is not pinned at both places');
    $page->chord(WebDriverKeys::CONTROL, 'z')->waitFor(fn (): bool => substr_count($page->words('.sheet'), '◆ pinned') === 0, 'undo does not take the pins back');
});

it('leads the line by what is asked of it, and to a second place on the neck', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Two Places', '| Dm6 | B♭7 | Gm7 | A7 |')->station(2, '.candidate');
    $frets = fn (): string => $page->words('.sheet .frets');
    $first = $frets();
    $page->keys('e')->sees('The same line in another place')->waitFor(fn (): bool => $frets() !== $first, 'the line has not moved');
    $second = $frets();
    $page->press('Pin this one instead')->waitFor(fn (): bool => substr_count($page->words('.sheet'), '◆ pinned') === 4, 'the second place is not pinned');
    expect($frets())->toBe($second);
    $page->chord(WebDriverKeys::CONTROL, 'z')->waitFor(fn (): bool => $frets() === $first, 'undo does not bring the first place back');
    $page->press('Ask of the line …');
    $page->fill('[aria-label="Lowest fret"]', '7')->waitFor(fn (): bool => $frets() !== $first, 'the window changes nothing');
    $used = array_map(intval(...), array_filter(preg_split('/[^0-9]+/', $frets()) ?: [], static fn (string $fret): bool => $fret !== ''));
    expect(min($used))->toBeGreaterThanOrEqual(7);
});

it('maps the double stops of a chord string pair by string pair, and the fills around its grip', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Sea Map', '| C | F |')->station(2, '.candidate');
    $page->keys('m')->element('.map-neck .stop');
    expect($page->words('.neck-map h2'))->toBe('Double stops on C')
        ->and($page->words('.stop-list'))->toContain('E4 G4 = 3 5, third');
    $page->choose('String pair', 'strings 3 and 1')->waitFor(fn (): bool => str_contains($page->words('.stop-list'), 'sixth'), 'there are no sixths');
    $page->keys(WebDriverKeys::ARROW_DOWN)->waitFor(fn (): bool => $page->words('.neck-map h2') === 'Double stops on F', 'the map does not follow the chord');
    $page->element('[aria-label="Map of"] label:nth-child(2)')->click();
    $page->waitFor(fn (): bool => $page->words('.neck-map h2') === 'Fills on F' && count($page->all('.map-neck .stop')) > 8, 'there are no notes for fills');
});

it('puts the capo where the grips are open, writes what is held beside what sounds, and tells how to retune', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Half Tide', '| C |');
    $page->choose('Key', 'E♭ major')->fill('.chart-line textarea', '| E♭ | A♭ | B♭7 | E♭ |')->waitFor(fn (): bool => $page->words('.bar-chord') === 'E♭ | A♭ | B♭7 | E♭', 'the line is not read');
    $page->station(2, '.candidate')->keys('c')->sees('Open grips');
    $page->waitFor(fn (): bool => str_starts_with($page->words('.capo-table tbody tr:first-child td'), 'fret 1 | D major | 3 of 3'), 'the capo is not planned');
    $page->press('D major')->sees('Take it off fret 1');
    $page->choose('The guitar is in', 'Open D')->waitFor(fn (): bool => str_contains($page->words('.retune-list .to-do'), '1 semitone up'), 'the third string is not to be retuned');
    $page->station(1, '.held');
    expect($page->words('.held'))->toBe('D | G | A7 | D');
    $page->chord(WebDriverKeys::CONTROL, 'z')->waitFor(fn (): bool => $page->all('.held') === [], 'undo does not take the capo off');
});
