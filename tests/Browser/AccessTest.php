<?php

declare(strict_types=1);

use Database\Seeders\DatabaseSeeder;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Page;
use Tests\Browser\Support\Stage;

/** The demo tune on the bench: it has every kind of thing on it. */
function ferry(): Page
{
    $page = Stage::running()->teacher()->fill('input[aria-label="Search the shelf"]', 'Marzipan Ferry')->sees('1 match')->press('Open');
    $page->element('.bar-strokes');

    return $page;
}

it('has no barrier where somebody signs in, on the shelf, in its sheets and in the help', function (): void {
    $stranger = Stage::running()->page()->open('/');
    $stranger->element('input[name=email]');
    expect($stranger->barriers())->toBe([]);
    $page = Stage::running()->teacher()->sees('Marzipan Ferry');
    expect($page->barriers())->toBe([])
        ->and($page->keys('n')->sees('Start from')->barriers())->toBe([]);
    $page->open('/')->sees('Marzipan Ferry')->keys('?')->sees('play, stop');
    expect($page->barriers())->toBe([]);
    foreach (['Words' => 'the bare skeleton', 'Your neck' => 'Left-handed'] as $part => $words) {
        $page->script(
            '[...document.querySelectorAll(".ant-segmented-item")].find((each) => each.textContent === arguments[0]).click()',
            [$part],
        );
        expect($page->sees($words)->barriers())->toBe([]);
    }
});

it('has no barrier at any station or in what lies over it', function (string $station, string $css, array $sheets): void {
    $page = ferry()->station($station, $css);
    expect($page->barriers())->toBe([]);
    foreach ($sheets as $key => $shows) {
        $page->keys($key)->element($shows);
        expect([$key => $page->barriers()])->toBe([$key => []]);
        $page->keys(WebDriverKeys::ESCAPE)->element($css);
    }
})->with([
    'chart' => ['chart', '.bar-strokes', ['y' => '.tune-form']],
    'listen' => ['listen', '.drop', []],
    'shapes' => [
        'shapes',
        '.sheet',
        [
            'm' => '.map-neck .stop',
            'c' => '.strings-sheet',
            'a' => '.offer',
            'f' => '.offers',
            'w' => '.change-bars',
            'l' => '[aria-label=Lines]',
            'p' => '[aria-label=Proofreading]',
            's' => '[aria-label=Hands]',
            'q' => '.press-neck',
        ],
    ],
    'hand' => ['hand', '.hand-wave .blade', ['l' => '.pattern-card .hand-wave', 'k' => '.school-sheet .hand-wave', 'i' => '.tap-sheet']],
    'lock' => [
        'lock',
        '.lens',
        ['p' => '.stairs', 'e' => '[aria-label="Hear an error"], .error-sheet, .errors', 'f' => '.free-play, [aria-label="Bars to play"]'],
    ],
    'handout' => ['handout', '.sheet-pages svg', []],
    'steps' => ['steps', '.stage-strip', []],
    'log' => ['log', '.log-station .log-figures', ['v' => '.log-tables']],
]);

it('has no barrier for a student on a phone, whose fingers find room and whose station is in sight', function (): void {
    $page = Stage::running()->page()->resizeInside(390, 844)->open('/');
    $page->element('input[name=email]')->sendKeys(DatabaseSeeder::STUDENT['email']);
    $page->element('input[name=password]')->sendKeys(DatabaseSeeder::STUDENT['password']);
    $page->press('Sign in')->press('Open')->element('.lens');
    expect($page->barriers())->toBe([])
        ->and($page->script('return document.documentElement.scrollWidth <= window.innerWidth'))->toBeTrue()
        ->and($page->script('const tab = document.querySelector(".station-tab.active").getBoundingClientRect(); return tab.left >= 0 && tab.right <= window.innerWidth'))->toBeTrue()
        ->and($page->script(<<<'JS'
            return [...document.querySelectorAll('button, a, [role=button], summary')]
              .filter((each) => { const { width, height } = each.getBoundingClientRect(); return width > 0 && Math.min(width, height) < 35.5 })
              .map((each) => each.getAttribute('aria-label') ?? each.textContent)
            JS))->toBe([]);
});

it('lies there again after a reload, and Back takes a sheet away before it leaves the station', function (): void {
    $page = ferry()->station('hand', '.hand-wave .blade')->keys('l');
    $page->element('.pattern-card');
    $page->driver->navigate()->refresh();
    $page->element('.pattern-card');
    expect($page->driver->getTitle())->toBe('Marzipan Ferry · Hand · Gravik');
    $page->driver->navigate()->back();
    $page->element('.hand-wave .blade-ring');
    expect($page->all('.pattern-card'))->toBe([]);
});

it('turns every neck for whoever asks for it', function (): void {
    $page = ferry()->station('shapes', '.sheet');
    $first = fn (): float => (float) $page->script('return document.querySelector(".fret-names text").getAttribute("x")');
    $before = $first();
    $page->keys('?')
        ->sees('play, stop')
        ->script('[...document.querySelectorAll(".ant-segmented-item")].find((each) => each.textContent === "Your neck").click()');
    $page->sees('Left-handed')->script('document.querySelector(".neck-choice button").click()');
    $page->waitFor(fn (): bool => $first() > $before + 200, 'the neck is not turned');
    $page->driver->navigate()->refresh();
    $page->element('.sheet');
    $page->waitFor(fn (): bool => $first() > $before + 200, 'the neck is turned back by a reload');
    $page->keys('?')
        ->sees('play, stop')
        ->script('[...document.querySelectorAll(".ant-segmented-item")].find((each) => each.textContent === "Your neck").click()');
    $page->sees('Left-handed')->script('document.querySelector(".neck-choice button").click()');
    expect($page->waitFor(fn (): bool => abs($first() - $before) < 1, 'the neck is not turned back'))->toBeTrue();
});

afterEach(fn () => Stage::running()->endExtraPages());
