<?php

declare(strict_types=1);

use Database\Seeders\DatabaseSeeder;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Ear;
use Tests\Browser\Support\Page;
use Tests\Browser\Support\Stage;

/** A fresh browser with somebody listening to its speakers. */
function listening(string $title, string $line): array
{
    $page = Stage::running()->page();
    $ear = new Ear($page);
    $page->signIn(DatabaseSeeder::TEACHER['email'], DatabaseSeeder::TEACHER['password'])->makeBreakdown($title, $line);

    return [$page, $ear];
}

function playFromTheTop(Page $page): void
{
    // Where a measurement was broken off, it still plays.
    if ($page->all('[aria-label=Stop]') !== []) {
        $page->keys(' ');
    }
    $page->element('[aria-label=Play]');
    $page->keys(' ')->element('[aria-label=Stop]');
    $page->waitFor(fn (): bool => ! str_starts_with($page->words('[data-testid=place]'), '–'), 'the count-in does not end');
}

/** @return list<float> */
function distances(array $times): array
{
    return array_map(static fn (float $a, float $b): float => $b - $a, array_slice($times, 0, -1), array_slice($times, 1));
}

it('moves the playing place over chart, neck and hand wave', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Moving Lights', '| Dm6 | A7 | Gm7 | C9 |');
    $page->press('Count-in: 1 bar')->press('Count-in: 2 bars');
    $page->keys(' ');
    $page->waitFor(fn (): bool => $page->all('.chart-bar[data-bar="1"].playing') !== [], 'the second bar never plays');
    expect($page->words('[data-testid=place]'))->toStartWith('2 .');
    $page->station('shapes', '.sheet.chosen');
    $page->waitFor(fn (): bool => str_contains($page->words('.sheet.chosen'), 'Gm7'), 'the sheet of Gm7 is never the one');
    $page->station('hand', '.wave-playhead');
    $page->waitFor(
        fn (): bool => $page->script('return document.querySelector(".wave-playhead g").style.display !== "none"'),
        'nothing moves over the wave',
    );
    $page->waitFor(fn (): bool => str_starts_with($page->words('.in-order .now'), 'C9'), 'the neck never shows C9');
    $page->element('.loop-bars button:nth-child(2)')->click();
    $page->waitFor(fn (): bool => str_starts_with($page->words('[data-testid=place]'), '2 .'), 'it does not loop');
    $page->keys(' ')->waitFor(fn (): bool => $page->words('[data-testid=place]') === '1 . 1', 'it does not stop');
    $page->press('all');
});

it('sounds every stroke on time, ringing and dead, soft and hard, and leans them with the swing', function (): void {
    [$page, $ear] = listening('Heard', '| Dm | Dm |');
    $page->press('drums')->press('bass')->fill('input[aria-label=Tempo]', '80');
    $page->station('hand', '.hand-wave .blade');
    // 1 strikes hard, 1& is air, 2 strikes, 2& is dead, 3 is air, 3& strikes, 4 and 4& are air.
    $page->keys(
        WebDriverKeys::ARROW_RIGHT,
        '.',
        WebDriverKeys::ARROW_RIGHT,
        WebDriverKeys::ARROW_RIGHT,
        'c',
        WebDriverKeys::ARROW_RIGHT,
        '.',
        WebDriverKeys::ARROW_RIGHT,
        'x',
        WebDriverKeys::ARROW_RIGHT,
        '.',
        WebDriverKeys::ARROW_RIGHT,
        '.',
    );
    $page->waitFor(
        fn (): bool => count($page->all('.wave-row .blade-ring')) === 3 && count($page->all('.wave-row .blade-chuck')) === 1,
        'the pattern is not the one to listen to',
    );
    $beat = 60 / 80;
    $listen = function (float $p) use ($page, $ear, $beat): void {
        playFromTheTop($page);
        $ear->forget();
        usleep(7_200_000);
        $page->keys(' ');
        $onsets = $ear->onsets();
        // The gaps of a bar are known, whichever stroke was heard first.
        $gaps = [1.0, $p, 1.0, 2.0 - $p];
        $heard = array_map(static fn (float $gap): float => $gap / $beat, distances($onsets));
        $best = min(array_map(
            static fn (int $turn): float => max(array_map(
                static fn (float $gap, int $index): float => abs($gap - $gaps[($index + $turn) % 4]),
                $heard,
                array_keys($heard),
            )),
            range(0, 3),
        ));
        expect(count($onsets))->toBeGreaterThan(6)->and(1000 * $best * $beat)->toBeLessThan(12.0);
        $dead = [];
        $ringing = [];
        foreach (array_slice($onsets, 1, -1, true) as $index => $onset) {
            $after = $ear->peak($onset + 0.12, $onset + 0.2) / $ear->peak($onset, $onset + 0.05);
            abs($onsets[$index + 1] - $onset - $beat) < 0.05 && abs($onset - $onsets[$index - 1] - $p * $beat) < 0.05
                ? $dead[] = $after
                : $ringing[] = $after;
        }
        expect($dead)->not->toBeEmpty()->and(max($dead))->toBeLessThan(0.1)->and(min($ringing))->toBeGreaterThan(0.25)
            ->and(max(array_column($ear->blocks(), 1)))->toBeLessThan(0.95);
    };
    $page->undisturbed(fn () => $listen(0.5));
    foreach (range(1, 10) as $press) {
        $page->element('.feel-dial')->sendKeys(WebDriverKeys::ARROW_RIGHT);
    }
    usleep(900_000);
    $page->undisturbed(fn () => $listen(0.6));
});

it('takes a new tempo and swing within a bar, without a gap or a jump', function (): void {
    [$page, $ear] = listening('Changing Tide', '| Dm | A7 | Gm | C7 |');
    foreach (['drums', 'bass', 'guitar', 'Click on beat 1', 'Click on beat 2', 'Click on beat 3', 'Click on beat 4'] as $button) {
        $page->press($button);
    }
    $page->undisturbed(function () use ($page, $ear): void {
        $page->fill('input[aria-label=Tempo]', '100');
        usleep(900_000);
        playFromTheTop($page);
        $ear->forget();
        usleep(3_500_000);
        $blocks = $ear->blocks();
        $changed = $blocks[count($blocks) - 1][0];
        $page->fill('input[aria-label=Tempo]', '150');
        usleep(5_000_000);
        $page->keys(' ');
        $clicks = $ear->onsets();
        $beats = distances($clicks);
        $first = array_key_first(array_filter($beats, static fn (float $gap): bool => $gap < 0.5));

        expect($first)->not->toBeNull()->and($clicks[$first] - $changed)->toBeLessThan(4 * 0.6);
        foreach ($beats as $index => $gap) {
            expect(abs($gap - ($index < $first ? 0.6 : 0.4)))->toBeLessThan(0.012);
        }
        expect(count($beats))->toBeGreaterThan(12);
    });
});

it('hands no event to the audio clock after its time in a minute of six parts', function (): void {
    $page = Stage::running()->teacher();
    $page->keys(WebDriverKeys::ARROW_RIGHT);
    $page->fill('input[aria-label="Search the shelf"]', 'Lantern Barge')->waitFor(
        fn (): bool => $page->words('.book b') === 'Lantern Barge',
        'the search finds more',
    );
    $page->keys(WebDriverKeys::ENTER)->element('.title-row');
    $page->undisturbed(function () use ($page): void {
        playFromTheTop($page);
        $until = microtime(true) + 60;
        // As often faster as slower, so that a minute measured again is the same minute.
        foreach ([2, 3, 1, 3, 2, 1] as $number => $station) {
            usleep(9_000_000);
            $page->chord(WebDriverKeys::ALT, (string) $station)->keys($number % 2 === 0 ? '[' : ']');
        }
        while (microtime(true) < $until) {
            usleep(200_000);
        }
        /** @var array{scheduled: string, late: string, margin: string} $figures */
        $figures = $page->script('return {...document.querySelector("[data-testid=place]").dataset}');
        $page->keys(' ');
        fwrite(
            STDERR,
            sprintf(
                "\n  60 s of playing: %s events scheduled, %s late, smallest margin %s ms\n",
                $figures['scheduled'],
                $figures['late'],
                $figures['margin'],
            ),
        );

        expect((int) $figures['scheduled'])->toBeGreaterThan(1000)->and((int) $figures['late'])->toBe(0);
    });
});

afterEach(fn () => Stage::running()->endExtraPages());
