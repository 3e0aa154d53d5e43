<?php

declare(strict_types=1);

use Database\Seeders\DatabaseSeeder;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Take;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Tests\Support\Examples;
use Gravik\Time\SwingUnit;
use Gravik\Time\Tempo;
use Tests\Browser\Support\Page;
use Tests\Browser\Support\Stage;
use Tests\Browser\Support\StandIn;

/** Taps in the page, timed by the audio clock of the band: strokes at these beats of every bar, so many ms late. */
const TAPPER = <<<'JS'
    const [beats, tempo, bars, lateMs, repeat] = arguments
    const place = document.querySelector('[data-testid=place]')
    const beatMs = 60000 / tempo
    const press = (key, repeated) => window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, repeat: repeated }))
    window.tapped = 0
    const watch = () => {
      if (!/^1 \. 1/.test(place.textContent) || !document.querySelector('.recording')) return requestAnimationFrame(watch)
      const zero = performance.now()
      for (let bar = 0; bar < bars; bar++) {
        for (const [beat, key] of beats) {
          const at = zero + (bar * 4 + beat) * beatMs + lateMs
          const spin = () => {
            if (performance.now() < at) return performance.now() < at - 6 ? setTimeout(spin, 1) : spinNow()
            press(key, false)
            if (repeat) press(key, true)
            window.tapped++
          }
          const spinNow = () => { while (performance.now() < at) {} spin() }
          setTimeout(spin, Math.max(0, at - performance.now() - 12))
        }
      }
    }
    const seen = place.textContent
    const wait = () => (place.textContent.startsWith('–') || place.textContent !== seen ? requestAnimationFrame(watch) : requestAnimationFrame(wait))
    wait()
    JS;

/** Seconds by which the limiter at the end of the page's sound lets everything out later; who plays along hears it so. */
const LIMITER_LOOKS_AHEAD = 0.006;

function figure(Page $page, string $name): string
{
    return (string) $page->script(
        'return [...document.querySelectorAll(".figures div")].find((row) => row.textContent.startsWith(arguments[0]))?.querySelector("dd").textContent ?? ""',
        [$name],
    );
}

it('measures the device, records a take by key, judges it, keeps and lists it', function (): void {
    $page = Stage::running()->page()->signIn(
        DatabaseSeeder::TEACHER['email'],
        DatabaseSeeder::TEACHER['password'],
    )->makeBreakdown('Take One', '| Dm6 | A7 |');
    $page->station('lock', '.empty')->sees('No takes yet');
    $lock = $page->driver->getCurrentURL();

    $takes = fn (): int => count($page->all('.take-list button'));
    $record = function (array $beats, bool $repeat) use ($page, $lock, $takes): void {
        $page->beginsAt($lock)->fill('input[aria-label=Tempo]', '120')->choose('Bars to record', '4 bars');
        $page->waitFor(fn (): bool => ! $page->says('Fetching the take'), 'the takes so far do not come');
        $before = $takes();
        $page->script(TAPPER, [$beats, 120, 4, 0, $repeat]);
        $page->keys('r')->element('.pad-down');
        $page->waitFor(fn (): bool => $takes() > $before, 'the take is not listed');
    };
    // Without a measured delay the bias says that it includes the device; the repeats of a held key do not count.
    $page->undisturbed(function () use ($page, $record): void {
        $record([[0, 'f'], [1, 'f'], [1.5, 'j'], [2, 'f'], [3, 'f'], [3.5, 'j']], true);
        expect($page->script('return window.tapped'))->toBe(24)
            ->and($page->words('.report > .muted'))
            ->toContain('24 of 24 strokes met, 0 missed, 0 too many')
            ->toContain('24 directions told, 24 as planned')
            ->and($page->words('.figures dt'))->toContain('bias, device included')
            ->and((int) figure($page, 'spread'))->toBeLessThan(35)
            ->and(count($page->all('.lens')))->toBe(6);
    });
    // Every off-beat 60 ms early, and beat 3 of no bar.
    $page->undisturbed(function () use ($page, $record): void {
        $record([[0, 'f'], [1, 'f'], [1.38, 'j'], [3, 'f'], [3.38, 'j']], false);
        expect($page->words('.report > .muted'))->toContain('4 missed')
            ->and($page->words('.side .finding'))->toContain('missing, most often the 3')
            ->and($page->words('.take-list button'))->toContain('Take 1')
            ->and($page->words('.verdict'))->not->toBe('');
    });
    $page->driver->navigate()->refresh();
    $page->waitFor(fn (): bool => str_contains($page->words('.take-list'), 'Take 2'), 'the takes are lost in the reload');
});

it('takes taps on the pads, and ends early without losing what was played', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Early Stop', '| Dm6 | A7 |');
    $page->station('lock', '.empty');
    $page->undisturbed(function () use ($page): void {
        $page->keys(WebDriverKeys::ESCAPE, 'r')->sees('Bar 1 of 8');
        foreach (range(1, 8) as $tap) {
            $page->element($tap % 2 === 1 ? '.pad-down' : '.pad-up')->click();
            usleep(200_000);
        }
        $page->keys(WebDriverKeys::ESCAPE)->waitFor(fn (): bool => str_contains($page->words('.take-list'), 'Take 1'), 'the take is lost');
    });
    expect($page->words('.report > .muted'))->toContain('8 bars');
});

it('keeps what was played when the sound goes away in the middle of it, says so, and sounds again afterwards', function (): void {
    $page = Stage::running()->page()->signIn(
        DatabaseSeeder::TEACHER['email'],
        DatabaseSeeder::TEACHER['password'],
    )->makeBreakdown('Pulled Plug', '| Dm6 | A7 |');
    $page->station('lock', '.empty')->choose('Bars to record', '8 bars');
    $page->undisturbed(function () use ($page): void {
        $page->keys(WebDriverKeys::ESCAPE, 'r')->sees('Bar 1 of 8')->keys('f', 'f', 'j')->sees('3 strokes so far');
    });
    $page->losesItsSound()->sees('This device gives no sound, so everything stopped');
    $page->waitFor(fn (): bool => str_contains($page->words('.take-list'), 'Take 1'), 'what was played is lost');
    expect($page->words('.report > .muted'))->toContain('of 48 strokes met');
    $page->keys('r')->sees('Count-in: ')->element('.pad-down');
});

it('measures the delay of the device with sixteen taps and takes it off from then on', function (): void {
    $page = Stage::running()->page()->signIn(
        DatabaseSeeder::TEACHER['email'],
        DatabaseSeeder::TEACHER['password'],
    )->makeBreakdown('Sixteen Taps', '| Dm6 | A7 |');
    $page->station('lock', '.empty');
    $page->undisturbed(function () use ($page): void {
        $page->keys(WebDriverKeys::ESCAPE)->element('.delay-button')->click();
        $page->press('Start the clicks');
        // Sixteen taps, one as each click is counted: the page shows a click up to a frame after it sounds.
        $page->script(<<<'JS'
            let last = ''
            const pad = () => document.querySelector('.pads.small b')
            const watch = () => {
              const words = pad()?.textContent ?? ''
              if (/ of 16$/.test(words) && words !== last) {
                last = words
                setTimeout(() => window.dispatchEvent(new KeyboardEvent('keydown', { key: 'j', bubbles: true })), 20)
              }
              if (!/^16 of/.test(last)) requestAnimationFrame(watch)
            }
            watch()
            JS);
        $page->waitFor(fn (): bool => $page->says('The delay is'), 'no delay is measured');
        $ms = (int) (preg_match('/The delay is (-?\d+) ms/', $page->words('.ant-modal'), $found) === 1 ? $found[1] : -999);
        expect($ms)->toBeGreaterThan(5)->toBeLessThan(150);
        $page->press('Done')->sees("keys {$ms} ms, today");
    });

    $page->element('.delay-button')->click();
    $page->press('Start the clicks')->waitFor(fn (): bool => $page->says('too few'), 'nobody says that no tap came');
});

afterEach(fn () => Stage::running()->endExtraPages());

it('measures the microphone by its own clicks, and reports of a take by microphone what was put in, within three seconds', function (): void {
    $breakdown = Examples::breakdown(['feel' => Examples::swing(2), 'sections' => [['name' => 'A', 'line' => '| Dm | A7 |']]], 'xxxxxxxx');
    $timeline = (new Performer())->perform($breakdown, new Tempo(112));
    $player = new SimulatedPlayer(18, -30, 7, 0, 7);
    $truth = (new LockReporter())->report(Take::read($player->taps($timeline, 8)), $timeline, SwingUnit::Eighth, 0.0);
    $page = Stage::running()->page();
    $microphone = new StandIn($page);
    $page->signIn(
        DatabaseSeeder::TEACHER['email'],
        DatabaseSeeder::TEACHER['password'],
    )->makeBreakdown('By Microphone', '| Dm | A7 |')->station('hand', '.hand-wave .blade');
    $page->fill('[aria-label="Pattern as it is counted"]', '1 & 2 & 3 & 4 &'.WebDriverKeys::ENTER)->waitFor(
        fn (): bool => count($page->all('.wave-row .blade:not(.blade-air)')) === 8,
        'the eighths are not taken',
    );
    $page->element('.feel-share')->click();
    $page->fill('.feel-field input', 'triplet'.WebDriverKeys::ENTER)->waitFor(
        fn (): bool => str_contains($page->words('.feel-share'), '67'),
        'the feel is not taken',
    );
    $page->saved();

    $takes = fn (): int => count($page->all('.take-list button'));
    $lock = (string) preg_replace('~/\w+$~', '/lock', $page->driver->getCurrentURL());
    $page->undisturbed(function () use ($page, $lock, $microphone, $takes, $timeline, $player, $truth): void {
        $page->beginsAt($lock)->element('.delay-button');
        $page->fill('input[aria-label=Tempo]', '112')->choose('Bars to record', '8 bars');
        $microphone->hearsTheSpeaker(45);
        $page->element('.delay-button')->click();
        $page->element('.ant-modal');
        $page->script("[...document.querySelectorAll('.ant-modal .ant-segmented-item')].find((item) => item.textContent === 'microphone').click()");
        $page->press('Start the clicks')->waitFor(fn (): bool => $page->says('The delay is'), 'no delay is measured');
        $ms = (int) (preg_match('/The delay is (-?\d+) ms/', $page->words('.ant-modal'), $found) === 1 ? $found[1] : -999);
        // What the air adds, and besides it the limiter's looking ahead (6 ms).
        expect($ms)->toBeGreaterThanOrEqual(49)->toBeLessThan(54);
        $page->press('Done')->sees("microphone {$ms} ms, today");

        $late = static fn (PlayedStroke $stroke): PlayedStroke => $stroke->shifted(0.045 + LIMITER_LOOKS_AHEAD);
        $take = new SimulatedTake($timeline, array_map($late, $player->play($timeline, 8)));
        $microphone->plays($take->wav(), 4 * 60 / 112 - SimulatedTake::LEAD);
        $before = $takes();
        $page->keys('m')->sees('Bar 8 of 8')->sees('Headphones keep the band out');
        $page->waitFor(fn (): bool => ! $page->says('Headphones keep the band out'), 'it listens on');
        $page->waitFor(fn (): bool => $takes() > $before, 'the take is not judged');

        $bias = figure($page, 'bias');
        expect((str_contains($bias, 'early') ? -1 : 1) * (float) $bias)->toEqualWithDelta($truth->biasMs, 5.0)
            ->and((float) figure($page, 'spread'))->toEqualWithDelta($truth->spreadMs, 3.0)
            ->and((float) preg_replace('/^played ([\d.]+) : 1.*$/s', '$1', $page->words('.swing-gauge .muted')))
            ->toEqualWithDelta($truth->swing?->played, 0.1)
            ->and($page->words('.report > .muted'))->toMatch('/6[2-4] of 6[34] strokes met/');
    });
});

it('judges an uploaded take against its truth', function (): void {
    $breakdown = Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| Dm | A7 |']]], 'xxxx', 1);
    $timeline = (new Performer())->perform($breakdown, new Tempo(120));
    $page = Stage::running()->teacher()->makeBreakdown('Sent Later', '| Dm | A7 |')->station('hand', '.hand-wave .blade');
    $page->fill('[aria-label="Pattern as it is counted"]', '1 2 3 4'.WebDriverKeys::ENTER)->waitFor(
        fn (): bool => count($page->all('.wave-row .blade:not(.blade-air)')) === 4,
        'the quarters are not taken',
    );
    $page->station('lock', '.empty')->fill('input[aria-label=Tempo]', '120')->choose('Bars to record', '8 bars');
    $takes = fn (): int => count($page->all('.take-list button'));

    $late = Stage::running()->server->folder.'/late.wav';
    file_put_contents($late, (new SimulatedTake($timeline, (new SimulatedPlayer(0, 0, 6, 0, 9))->play($timeline, 8)))->wav());
    $field = $page->driver->findElement(WebDriverBy::cssSelector('input[aria-label="A recording"]'));
    $before = $takes();
    $field->setFileDetector(new LocalFileDetector())->sendKeys($late);
    $page->waitFor(fn (): bool => $takes() > $before, 'the upload is not judged');
    $page->sees('32 of 32 strokes met');
    expect((float) figure($page, 'spread'))->toBeGreaterThan(3.5)->toBeLessThan(9.0);
});
