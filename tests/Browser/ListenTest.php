<?php

declare(strict_types=1);

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Tests\Support\Examples;
use Tests\Browser\Support\Stage;

afterEach(fn () => Stage::running()->endExtraPages());

it('measures a recording, lets a stroke be corrected, and takes tempo, feel and strokes over', function (): void {
    $played = Examples::breakdown(['tempo' => 108, 'feel' => Examples::swing(1.8)], 'x.xcx.xx');
    $timeline = (new Performer())->perform($played);
    $file = Stage::running()->server->folder.'/pier.wav';
    file_put_contents($file, (new SimulatedTake($timeline, (new SimulatedPlayer(0, 0, 5, 0, 5))->play($timeline, 12)))->wav(22050));
    $page = Stage::running()->teacher()->makeBreakdown('Heard on the Pier', '| Dm6 | A7 |')->station('listen', '.drop');
    $page->driver->findElement(WebDriverBy::cssSelector('input[aria-label="A recording"]'))
        ->setFileDetector(new LocalFileDetector())
        ->sendKeys($file);

    $page->element('.listen-figures');
    expect((float) $page->words('.listen-figures section:nth-child(1) .figure-big'))->toEqualWithDelta(108, 0.4)
        ->and((float) $page->words('.listen-figures section:nth-child(2) .figure-big'))->toEqualWithDelta(100 * 1.8 / 2.8, 2.5)
        ->and($page->words('.listen-figures section:nth-child(3)'))->toContain('Nearest: Standard');
    $page->keys(WebDriverKeys::ARROW_RIGHT, 'x')->waitFor(
        fn (): bool => count($page->all('.struck-out')) === 1,
        'the stroke is not struck out',
    );
    $page->driver->navigate()->refresh();
    $page->waitFor(fn (): bool => count($page->all('.struck-out')) === 1, 'the correction is lost in the reload');
    $page->element('.take-over .ant-checkbox-checked');
    $page->keys(WebDriverKeys::ENTER)->sees('Taken over. Ctrl Z takes all of it back.');
    $page->waitFor(fn (): bool => str_contains($page->words('.summary'), '108'), 'the tempo is not taken over');
    $page->station('hand', '.hand-wave .blade')->waitFor(
        fn (): bool => count($page->all('.wave-row .blade:not(.blade-air)')) === 6,
        'the strokes are not taken over',
    );
});

it('takes beats and hits tapped along to a record', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Tapped Along', '| Dm6 | A7 |')->station('listen', '.drop');
    $page->undisturbed(function () use ($page): void {
        $page->keys('a')->sees('Start the record, then tap');
        $page->script(<<<'JS'
            // A key is pressed when its event says, however late a busy machine hands it on.
            const tap = (key, at) => {
              const event = new KeyboardEvent('keydown', { key, bubbles: true })
              Object.defineProperty(event, 'timeStamp', { value: 5000 + at })
              window.dispatchEvent(event)
            }
            for (let beat = 0; beat < 16; beat++) {
              tap('b', 500 * beat)
              tap('j', 500 * beat + 333)
            }
            JS);
        $page->keys(WebDriverKeys::ESCAPE)->element('.listen-figures');
        expect((float) $page->words('.listen-figures section:nth-child(1) .figure-big'))->toEqualWithDelta(120, 1.0)
            ->and((float) $page->words('.listen-figures section:nth-child(2) .figure-big'))->toEqualWithDelta(66.6, 4.0);
        $page->press('Close it')->element('.drop');
    });
});

it('drafts a song from a recording put on the shelf, which is corrected on the chart and plays', function (): void {
    $line = [['name' => 'A', 'line' => '| C | Am | F | G |']];
    $played = Examples::breakdown(['tempo' => 100, 'key' => 'C major', 'sections' => $line], 'x.xx.xxx');
    $timeline = (new Performer())->perform($played);
    $file = Stage::running()->server->folder.'/Lamp Oil Quay.wav';
    file_put_contents($file, (new SimulatedTake($timeline, (new SimulatedPlayer(0, 0, 5, 0, 5))->play($timeline, 8)))->wav(22050));
    $page = Stage::running()->teacher();
    $page->driver->findElement(WebDriverBy::cssSelector('input[aria-label="Breakdown file"]'))
        ->setFileDetector(new LocalFileDetector())
        ->sendKeys($file);

    $page->sees('Draft the song')->element('.overview-chord');
    $page->waitFor(fn (): bool => count($page->all('.draft-parts li')) === 7, 'nothing is drafted');
    expect($page->words('.draft-parts li:nth-child(1)'))->toContain('A A, 8 bars')
        ->and($page->words('.draft-parts li:nth-child(2)'))->toContain('100 bpm');
    $page->press('Draft all of it')->sees('What is unsure is marked on the chart');
    $page->station('chart', '.chart-bar[data-bar="3"]');
    expect($page->words('.chart-bar .chord-text'))->toMatch('/^C \| Am7? \| F(maj7)? \| G7?$/')
        ->and($page->words('.title-row'))->toContain('Lamp Oil Quay');
    $page->fill('.line-field input, .line-field textarea', '| C | Am | F | G7 |')->waitFor(
        fn (): bool => $page->words('.chart-bar[data-bar="3"] .chord-text') === 'G7',
        'the correction is not on the chart',
    );
    $page->driver->executeScript('document.activeElement.blur()');
    $page->keys(' ')->waitFor(fn (): bool => str_starts_with($page->words('[data-testid=place]'), '2 .'), 'it does not play');
    $page->keys(' ')->saved();
});
