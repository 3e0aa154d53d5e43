<?php

declare(strict_types=1);

use Database\Seeders\DatabaseSeeder;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Stage;

it('turns a typed line into bars, in letters and numerals, in any key, and keeps it through a reload', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Chart Room', '| Dm6 | B♭7 | Gm7 A7 | Dm6 |');
    $page->choose('Key', 'D minor')->waitFor(fn (): bool => str_contains($page->words('.summary'), 'D minor'), 'the key is not D minor');
    $page->fill('.chart-line textarea', '| i6 | VI7 | Gm7 A7 | % |')->waitFor(
        fn (): bool => $page->words('.bar-chord') === 'Dm6 | B♭7 | Gm7 | A7 | Gm7 | A7',
        'the bars are not those of the line',
    );
    $page->element('[aria-label=Names] label:nth-child(2)')->click();
    $page->waitFor(fn (): bool => $page->words('.bar-chord') === 'i6 | VI7 | iv7 | V7 | iv7 | V7', 'there are no numerals');
    $page->element('[aria-label=Names] label:nth-child(1)')->click();
    $page->choose('Key', 'E minor')->waitFor(
        fn (): bool => $page->words('.bar-chord') === 'Em6 | C7 | Am7 | B7 | Am7 | B7',
        'the line has not moved',
    );
    expect($page->element('.chart-line textarea')->getAttribute('value'))->toBe('| i6 | VI7 | Am7 B7 | % |');

    $page->saved()->driver->navigate()->refresh();
    $page->waitFor(fn (): bool => $page->words('.bar-chord') === 'Em6 | C7 | Am7 | B7 | Am7 | B7', 'it was lost in the reload');
});

it('undoes and redoes every change by key', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Undo Quay', '| Dm |');
    $page->fill('.chart-line textarea', '| Dm | A7 |')->waitFor(
        fn (): bool => $page->words('.bar-chord') === 'Dm | A7',
        'the line did not change',
    );
    $page->chord(WebDriverKeys::CONTROL, 'z')->waitFor(fn (): bool => $page->words('.bar-chord') === 'Dm', 'undo did nothing');
    expect($page->words('.bar-chord'))->toBe('Dm');
    $page->chord(WebDriverKeys::CONTROL, 'y')->waitFor(fn (): bool => $page->words('.bar-chord') === 'Dm | A7', 'redo did nothing');
});

it('offers other grips, lets them be walked by key, pins one, and leads the line to it', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Grip Shed', '| Dm6 | B♭7 | Gm7 A7 |')->station('shapes', '.sheets .sheet');
    $frets = fn (int $sheet): string => (string) $page->script(
        'return document.querySelectorAll(".sheet .frets")[arguments[0]].textContent',
        [$sheet],
    );
    $first = $frets(0);
    $page->element('.candidate:nth-child(4)');
    $page->keys(WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT)->waitFor(
        fn (): bool => $frets(0) !== $first,
        'the arrow keys do not walk the grips',
    );
    $tried = $frets(0);
    $page->keys(WebDriverKeys::ENTER)->sees('pinned');
    $page->waitFor(fn (): bool => str_contains($page->words('.sheet'), '◆ pinned'), 'the sheet does not say that it is pinned');
    expect($frets(0))->toBe($tried);
    $page->saved()->driver->navigate()->refresh();
    $page->element('.sheets .sheet');
    $page->waitFor(fn (): bool => $frets(0) === $tried, 'the pin was lost in the reload');
    $page->keys(WebDriverKeys::DELETE)->waitFor(
        fn (): bool => ! str_contains($page->words('.sheet'), '◆ pinned'),
        'the pin was not let go',
    );
});

it('sets strokes with one key each, gives directions and air, and leans the wave with the swing', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Hand Loft', '| Dm6 | A7 |')->station('hand', '.hand-wave .blade');
    $blades = fn (string $kind): int => count($page->all(".wave-row .blade-{$kind}"));
    $before = [$blades('ring'), $blades('air')];
    $page->keys(WebDriverKeys::ARROW_RIGHT, 'c')->waitFor(fn (): bool => $blades('chuck') === 1, 'C sets no chuck');
    expect([$blades('ring'), $blades('air')])->toBe([$before[0], $before[1] - 1]);
    $page->keys('g')->waitFor(fn (): bool => $blades('ghost') === 1 && $blades('chuck') === 0, 'G sets no ghost');
    $page->keys('.')->waitFor(fn (): bool => $blades('ghost') === 0, 'the point does not make air');
    $page->element('[data-slot="1"]')->click();
    $page->waitFor(fn (): bool => $blades('ring') === $before[0] + 1, 'a click sets no stroke');

    $place = fn (): float => (float) $page->script('return document.querySelectorAll(".slot-mark line")[1].getAttribute("x1")');
    $straight = $place();
    $dial = $page->element('.feel-dial');
    foreach (range(1, 10) as $press) {
        $dial->sendKeys(WebDriverKeys::ARROW_RIGHT);
    }
    $page->waitFor(fn (): bool => $place() > $straight + 15, 'swing does not move the off-beat');
    $page->sees('60 % swing');

    $page->press('Arrange …')->choose('Picking school', 'all down');
    $page->waitFor(fn (): bool => $blades('air') === 0, 'all down still has air strokes');
    $page->element('[aria-label=Bars] label:nth-child(2)')->click();
    $page->waitFor(fn (): bool => count($page->all('.wave-row')) === 2, 'there is no second bar');
});

it('takes a two-bar sixteenth pattern with chucks, accents and a push in under a minute of keys', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Key Work', '| Dm6 | A7 |')->station('hand', '.hand-wave .blade');
    $counted = fn (): string => (string) $page->script('return document.querySelector("[aria-label=\"Pattern as it is counted\"]")?.value ?? ""');
    $started = microtime(true);
    $page->press('Arrange …')->choose('Beat divided in', 'quarters')->waitFor(
        fn (): bool => count($page->all('[data-slot]')) === 16,
        'the beat is not in quarters',
    );
    $page->press('Arrange …')->waitFor(fn (): bool => $page->all('.ant-popover:not(.ant-popover-hidden)') === [], 'the form stays open');
    // From the left, a bar at a time: strike hard, chuck, air, ghost … and push into the next chord at the end.
    $page->keys('x', 'a', WebDriverKeys::ARROW_RIGHT, 'c', WebDriverKeys::ARROW_RIGHT, '.', WebDriverKeys::ARROW_RIGHT, 'g');
    foreach (range(1, 11) as $step) {
        $page->keys(WebDriverKeys::ARROW_RIGHT);
    }
    $page->keys('x', WebDriverKeys::ARROW_RIGHT, 'x', 'a', 'p')->waitFor(
        fn (): bool => str_starts_with($counted(), '1! ex (&) a~') && str_ends_with($counted(), 'a!>'),
        'the keys are not heard',
    );
    $bar = $counted();
    $page->keys('b')->waitFor(fn (): bool => $counted() === "{$bar} | {$bar}", 'the bar is not copied');
    expect(microtime(true) - $started)->toBeLessThan(60.0);
    $page->chord(WebDriverKeys::CONTROL, 'z')->waitFor(fn (): bool => $counted() === $bar, 'undo does not take the copy back');
});

it('reads a counted pattern, refuses what is none, takes one from the library, and thins it', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Count Loft', '| Dm6 | A7 |')->station('hand', '.hand-wave .blade');
    $count = '[aria-label="Pattern as it is counted"]';
    $struck = fn (): int => count($page->all('.wave-row .blade:not(.blade-air)'));
    $page->fill($count, '1 & trip 2 3 4'.WebDriverKeys::ENTER)->sees('which is no one division of it');
    $page->fill($count, '1! & (2) trip let 3x (4) &'.WebDriverKeys::ENTER)->waitFor(
        fn (): bool => $struck() === 6 && count($page->all('.wave-row .blade-chuck')) === 1,
        'the counted pattern is not drawn',
    );
    $page->keys('l')->sees('Straight eighths with muted fills')->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ENTER)->waitFor(
        fn (): bool => $page->element($count)->getAttribute('value') === '1! & 2 & 3 & (4) &!>',
        'the second pattern is not taken',
    );
    $page->keys('1')->waitFor(fn (): bool => $struck() === 3, 'level 1 does not keep the beats alone');
    $page->keys('3')->waitFor(fn (): bool => $struck() === 7, 'level 3 is not the whole pattern');
    expect($page->words('.range-bar'))->toContain('easy to');
});

it('writes a bass under the chords, and keeps both when the upper line is counted anew', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Two Lines', '| Dm6 | A7 |')->station('hand', '.hand-wave .blade');
    $faint = fn (): int => count($page->all('.wave-row .blade-faint'));
    $struck = fn (): int => count($page->all('.wave-row .blade:not(.blade-air)'));
    $chords = $struck();
    $page->keys('v')->waitFor(fn (): bool => $faint() === $chords, 'the chords do not step back');
    $page->keys('x', WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT, 'x');
    $page->waitFor(fn (): bool => $struck() === $chords + 2, 'the bass is not written');
    $page->sees('Two lines at once')->press('pick and fingers')->waitFor(
        fn (): bool => ! $page->says('Two lines at once'),
        'the advice is not taken',
    );
    $page->keys('v')->fill('[aria-label="Pattern as it is counted"]', '(1) & (2) & (3) & (4) &'.WebDriverKeys::ENTER);
    $page->waitFor(fn (): bool => $struck() === 6 && $faint() === 2, 'the bass is lost when the chords are counted anew');
    $page->saved()->driver->navigate()->refresh();
    $page->element('.wave-row .blade');
    $page->waitFor(fn (): bool => $struck() === 6, 'the two lines are lost in the reload');

    expect($page->element('[aria-label="Pattern as it is counted"]')->getAttribute('value'))
        ->toBe('(1) & (2) & (3) & (4) &')
        ->and($page->words('.hand-tools'))->toContain('Line: strum')
        ->and($page->words('[aria-label="Picking school"], .hand-tools'))->not->toContain('Two lines at once');
});

it('takes a rhythm that is tapped in, and shows the schools side by side', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Tapped Loft', '| Dm6 | A7 |')->station('hand', '.hand-wave .blade');
    // Slow: half a sixteenth is 234 ms then, longer than the delays together that undisturbed lets pass.
    $page->fill('[aria-label=Tempo]', '32');
    $taps = <<<'JS'
        const place = document.querySelector('[data-testid=place]')
        const tap = (key) => window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
        let counted = false
        const turn = (window.tapTurn = (window.tapTurn ?? 0) + 1)
        const watch = () => {
          if (turn !== window.tapTurn) return
          counted ||= place.textContent.startsWith('–')
          if (!counted || !place.textContent.startsWith('1 . 1')) return requestAnimationFrame(watch)
          const rhythm = [['f', 0], ['j', 0.5], ['d', 1], ['f', 2], ['j', 2.5], ['d', 3]]
          for (const [key, beats] of rhythm) setTimeout(() => tap(key), beats * 1875)
        }
        requestAnimationFrame(watch)
        JS;
    $page->undisturbed(function () use ($page, $taps): void {
        // Where it was broken off, one key ends the taking and the next closes the sheet.
        $page->waitFor(fn (): bool => $page->all('.tap-sheet') === [] || ! $page->keys(WebDriverKeys::ESCAPE), 'the sheet stays');
        $page->keys('i')->element('.pads.four');
        $page->script($taps);
        $page->keys('r')->sees('taps within');
        expect($page->words('.tap-sheet li.chosen'))->toContain('1 & 2x 3 & 4x');
    });
    $page->keys(WebDriverKeys::ENTER)->waitFor(
        fn (): bool => $page->element('[aria-label="Pattern as it is counted"]')->getAttribute('value') === '1 & 2x 3 & 4x',
        'the tapped pattern is not taken',
    );
    $page->keys('k')->element('.school-sheet .differs-mark');
    $page->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ENTER)->waitFor(
        fn (): bool => str_contains($page->words('.school-sheet li.chosen'), 'as it is now'),
        'the second school is not taken',
    );

    expect($page->words('.school-sheet li.chosen b'))->toBe('all down');
});

it('asks which of two versions to go on with, and loses neither', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Two Tablets', '| Dm |');
    $page->saved();
    $address = $page->driver->getCurrentURL();
    $other = Stage::running()->page()->signIn(DatabaseSeeder::TEACHER['email'], DatabaseSeeder::TEACHER['password']);
    $other->driver->get($address);
    $other->element('.chart-bar');
    $page->fill('.chart-line textarea', '| Dm | from the desk Gm |');
    $page->saved();
    $other->fill('.chart-line textarea', '| Am |')->sees('Saved from somewhere else meanwhile');
    $other->press('Go on with mine as a copy')->waitFor(
        fn (): bool => str_contains((string) $other->element('.title-field')->getAttribute('value'), '(my copy)'),
        'no copy was made',
    );
    expect($other->words('.bar-chord'))->toBe('Am');
});

it('keeps the work of a signed-out tab and saves it after signing in again', function (): void {
    $page = Stage::running()->page()->signIn(
        DatabaseSeeder::TEACHER['email'],
        DatabaseSeeder::TEACHER['password'],
    )->makeBreakdown('Signed Out', '| Dm |');
    $page->saved()->driver->manage()->deleteAllCookies();
    $page->fill('.chart-line textarea', '| Dm | Gm |')->sees('Sign in again');
    // The sheet takes the focus when it stands; what is typed before that goes elsewhere.
    $page->waitFor(
        fn (): bool => (bool) $page->script('return document.activeElement?.closest(".ant-modal") != null'),
        'the sheet has no focus',
    );
    $page->element('.ant-modal input[name=email]')->sendKeys(DatabaseSeeder::TEACHER['email']);
    // By key: the sheet may still be on its way in, and a click would miss the button.
    $page->element('.ant-modal input[name=password]')->sendKeys(DatabaseSeeder::TEACHER['password'].WebDriverKeys::ENTER);
    $typed = fn (): bool => $page->words('.bar-chord') === 'Dm | Gm';
    $page->saved()->waitFor($typed, 'what was refused while signed out is not drawn');
    $page->waitFor(fn (): bool => ! $page->says('Sign in again'), 'the sheet stays');
    $page->driver->navigate()->refresh();
    $page->waitFor($typed, 'what was typed while signed out is lost');
    expect($page->words('.bar-chord'))->toBe('Dm | Gm');
});

it('prints the sheet, takes each form once it was said what it loses, and imports the JSON and the score', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Cargo Manifest', '| Dm6 | B♭7 |')->station('handout', '.sheet-pages svg');
    $downloads = Stage::running()->downloads();
    $taken = function (string $form, string $ending) use ($page, $downloads): string {
        $page->element("[aria-label=\"Take {$form}\"]")->click();
        $page->press('Take it');

        return (string) $page->waitFor(
            fn (): string|false => (string) @file_get_contents("{$downloads}/cargo-manifest.{$ending}") ?: false,
            "no {$form} came",
        );
    };
    $page->saved();
    expect($taken('PDF', 'pdf'))->toStartWith('%PDF')
        ->and($taken('Page', 'html'))->toContain('Cargo Manifest')->toContain('data:font/woff2')
        ->and($taken('Drawing', 'svg'))->toStartWith('<svg')
        ->and($taken('Score', 'musicxml'))->toContain('<work-title>Cargo Manifest</work-title>')
        ->and($taken('Score, packed', 'mxl'))->toStartWith('PK')
        ->and($taken('Chord sheet', 'cho'))->toContain('{title: Cargo Manifest}')
        ->and($taken('Text tab', 'tab.txt'))->toStartWith('gravik tab 1')
        ->and($taken('Events', 'csv'))->toStartWith('part,seconds')
        ->and($taken('Sound', 'wav'))->toStartWith('RIFF');
    $json = $taken('Breakdown', 'gravik.json');
    expect($taken('Notes', 'mid'))->toStartWith('MThd')->and(json_decode($json, true)['title'])->toBe('Cargo Manifest');

    $page->chord(WebDriverKeys::ALT, '0')->sees('New breakdown');
    $page->driver->findElement(WebDriverBy::cssSelector('input[type=file]'))
        ->setFileDetector(new LocalFileDetector())
        ->sendKeys("{$downloads}/cargo-manifest.gravik.json");
    $page->waitFor(fn (): bool => substr_count($page->words('.book b'), 'Cargo Manifest') === 2, 'it was not imported');
    $page->driver->findElement(WebDriverBy::cssSelector('input[type=file]'))
        ->setFileDetector(new LocalFileDetector())
        ->sendKeys("{$downloads}/cargo-manifest.musicxml");
    $page->sees('A draft of “cargo-manifest.musicxml”')->sees('2 bars')->element('.draft .sheet svg');
    $page->press('Put it on the shelf')
        ->waitFor(fn (): bool => substr_count($page->words('.book b'), 'Cargo Manifest') === 3, 'the score was not imported');
    file_put_contents("{$downloads}/shopping.json", '{"milk": 2}');
    $page->driver->findElement(WebDriverBy::cssSelector('input[type=file]'))
        ->setFileDetector(new LocalFileDetector())
        ->sendKeys("{$downloads}/shopping.json");
    $page->sees('This file is not a breakdown');
});

afterEach(fn () => Stage::running()->endExtraPages());
