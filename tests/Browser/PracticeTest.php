<?php

declare(strict_types=1);

use Database\Seeders\DatabaseSeeder;
use Facebook\WebDriver\WebDriverKeys;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Tempo;
use Tests\Browser\Support\Page;
use Tests\Browser\Support\Stage;
use Tests\Browser\Support\StandIn;

afterEach(fn () => Stage::running()->endExtraPages());

/** Taps every beat of every cycle from the moment its count-in ends, as exactly as the page's own clock allows. */
const LADDER_TAPPER = <<<'JS'
    const [beats] = arguments
    window.cyclesTapped = 0
    let tapping = false
    setInterval(() => {
      const count = document.querySelector('.recording-count')?.textContent ?? ''
      const bpm = Number(document.querySelector('.tempo-field input, input.tempo-field, [aria-label=Tempo]').value)
      if (tapping || !/^Count-in: 1$/.test(count)) {
        if (!/Count-in|Bar/.test(count)) tapping = false
        return
      }
      tapping = true
      window.cyclesTapped++
      const begin = performance.now() + 60000 / bpm
      for (let beat = 0; beat < beats; beat++) {
        setTimeout(() => window.dispatchEvent(new KeyboardEvent('keydown', { key: 'f', bubbles: true })), begin + (beat * 60000) / bpm - performance.now())
      }
    }, 10)
    JS;

function quarters(string $title): Page
{
    $page = Stage::running()->teacher()->makeBreakdown($title, '| Dm | A7 |')->station('hand', '.hand-wave .blade');
    $page->fill('[aria-label="Pattern as it is counted"]', '1 2 3 4'.WebDriverKeys::ENTER)->waitFor(
        fn (): bool => count($page->all('.wave-row .blade:not(.blade-air)')) === 4,
        'the quarters are not taken',
    );

    return $page->station('lock', '.empty');
}

it('goes up the ladder by itself: each cycle is judged, and the next begins at the tempo that the ladder says', function (): void {
    $page = quarters('Up the Ladder');
    $page->keys('p')->element('.stairs');
    $page->fill('input[aria-label=from]', '150')->fill('input[aria-label=to]', '170')->fill('input[aria-label="bars a cycle"]', '2');
    $page->script('document.activeElement.blur()');
    $page->sees(' tempos, ');
    $page->script(LADDER_TAPPER, [8]);
    $page->keys('r')->sees('Next at')->sees('of 1 cycles clean')->sees('of 2 cycles clean');
    $page->keys(WebDriverKeys::ESCAPE)->sees('Go on');

    expect($page->script('return window.cyclesTapped'))->toBeGreaterThanOrEqual(2)
        ->and(count($page->all('.stairs .cycle-clean, .stairs .cycle-not')))->toBeGreaterThanOrEqual(2);
    $page->driver->navigate()->refresh();
    $page->element('.stairs .cycle-clean, .stairs .cycle-not');
    $page->keys(WebDriverKeys::ESCAPE)->element('.lens');
});

it('ends a cycle early without losing it, and lets nobody climb on a day that hurts', function (): void {
    $page = quarters('Early Out');
    $page->keys('p')->element('.stairs');
    $page->script("[...document.querySelectorAll('.wishes label')].find((label) => label.textContent.includes('hurts')).click()");
    $page->undisturbed(function () use ($page): void {
        $page->keys('r')->sees('Bar 1 of 4');
        foreach (range(1, 8) as $tap) {
            $page->keys('f');
        }
        $page->keys(WebDriverKeys::ESCAPE)->sees('0 of 1 cycles clean');
        expect(count($page->all('.take-list button')))->toBe(1);
    });
});

it('lets an error be heard: the guitar sounds as early as the report says', function (): void {
    $page = quarters('Hear It');
    $page->keys('e')->sees('A simulated student plays your part');
    $page->keys('2')->element('.errors .lens');
    expect($page->words('.errors'))->toContain('20 ms early');
    $page->waitFor(fn (): bool => (bool) $page->script("return document.querySelector('[aria-label=Stop]') !== null"), 'nothing plays');
    $page->keys('1')->waitFor(fn (): bool => str_contains($page->words('.errors'), 'This locks.'), 'the planned one does not lock');
    $page->keys(WebDriverKeys::ESCAPE)->element('.empty');
});

it('records free play over the form without marks, keeps it over a reload, and plays it back with the band', function (): void {
    $timeline = (new Performer())->perform(
        Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| Dm | A7 |']]], 'xxxx', 1),
        new Tempo(200),
    );
    $page = Stage::running()->page();
    $microphone = new StandIn($page);
    $page->signIn(
        DatabaseSeeder::TEACHER['email'],
        DatabaseSeeder::TEACHER['password'],
    )->makeBreakdown('No Marks', '| Dm | A7 |')->station('lock', '.empty');
    $page->fill('input[aria-label=Tempo]', '200')->keys('f')->sees('nobody marks it');
    $microphone->plays(
        (new SimulatedTake($timeline, (new SimulatedPlayer(0, 0, 5, 0, 3))->play($timeline, 4)))->wav(22050),
        4 * 60 / 200 - SimulatedTake::LEAD,
    );
    $page->choose('Bars to play', '4 bars')->keys('r');
    $page->waitFor(fn (): bool => count($page->all('.free-plays li')) === 1, 'what was played is not kept');
    expect($page->says('locks'))->toBeFalse()->and($page->says('They are listed here with their reports'))->toBeTrue();

    $page->driver->navigate()->refresh();
    $page->element('.free-plays li');
    $page->press('Hear it with the band')->sees('Bar · beat');
    $page->waitFor(
        fn (): bool => $page->script("return document.querySelector('[aria-label=Stop]') !== null") === true,
        'it does not play',
    );
    $page->waitFor(
        fn (): bool => $page->script("return document.querySelector('[aria-label=Play]') !== null") === true,
        'it does not end by itself',
    );
    $page->press('Delete')->waitFor(fn (): bool => $page->all('.free-plays li') === [], 'it is not deleted');
});

it('sets two takes beside each other, and hears one again with the band', function (): void {
    $page = quarters('Side by Side');
    $page->fill('input[aria-label=Tempo]', '180')->choose('Bars to record', '4 bars');
    foreach ([1, 2] as $take) {
        $page->undisturbed(function () use ($page, $take): void {
            $page->keys(WebDriverKeys::ESCAPE, 'r')->sees('Bar 1 of 4');
            foreach (range(1, 7) as $tap) {
                $page->keys('f');
                usleep(150_000);
            }
            $page->keys(WebDriverKeys::ESCAPE)->waitFor(
                fn (): bool => count($page->all('.take-list button')) === $take,
                'the take is not kept',
            );
        });
    }
    $page->script("[...document.querySelectorAll('.take-list button')].at(-1).dispatchEvent(new MouseEvent('click', { bubbles: true, shiftKey: true }))");
    $page->element('.beside-figures');
    expect(count($page->all('.beside .lock-strip')))->toBe(2);
    $page->press('One alone')->element('.report');
    $page->keys('h')->waitFor(
        fn (): bool => $page->script("return document.querySelector('[aria-label=Stop]') !== null") === true,
        'the take is not played',
    );
    $page->keys('h')->waitFor(
        fn (): bool => $page->script("return document.querySelector('[aria-label=Play]') !== null") === true,
        'it does not stop',
    );
});
