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
