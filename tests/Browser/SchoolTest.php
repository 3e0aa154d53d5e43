<?php

declare(strict_types=1);

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Tempo;
use Tests\Browser\Support\Page;
use Tests\Browser\Support\Stage;

/** The row of a student on the class board. */
function rowOf(Page $page, string $student): string
{
    return (string) $page->script(<<<'JS'
        const rows = [...document.querySelectorAll('.class-board tbody tr')]
        return rows.find((row) => row.textContent.includes(arguments[0]))?.innerText ?? ''
        JS, [$student]);
}

function pressInRow(Page $page, string $student, string $words): void
{
    $page->script(<<<'JS'
        const row = [...document.querySelectorAll('.class-board tbody tr')].find((each) => each.textContent.includes(arguments[0]))
        const buttons = [...row.querySelectorAll('button')]
        buttons.find((button) => button.textContent.trim() === arguments[1]).click()
        JS, [$student, $words]);
}

it('brings a student in by a link, gives them work that is played without a connection, shows where they are stuck, and opens the next stage', function (): void {
    $teacher = Stage::running()->teacher()->makeBreakdown('Slack Water', '| Dm | A7 |')->station('hand', '.hand-wave .blade');
    $teacher->fill('[aria-label="Pattern as it is counted"]', '1 2 3 4'.WebDriverKeys::ENTER)->waitFor(
        fn (): bool => count($teacher->all('.wave-row .blade:not(.blade-air)')) === 4,
        'the quarters are not taken',
    );
    $shows = static fn (string $says): Closure => static fn (): bool => str_contains(rowOf($teacher, 'Pupil Nine'), $says);
    $teacher->saved()->open('/students')->sees('Student A')->keys('i');
    $teacher->fill('.dialog-body input', 'Pupil Nine')->press('Make a link')->element('.invitation textarea');
    $link = (string) $teacher->script('return document.querySelector(".invitation textarea").value');

    $student = Stage::running()->page()->resizeInside(390, 844)->open((string) parse_url($link, PHP_URL_PATH))
        ->sees('invites you to practise here');
    expect($student->barriers())->toBe([]);
    $student->fill('input[name=email]', 'nine@gravik.test')->fill('input[name=password]', 'short')->press('Come in')
        ->sees('at least 8 signs');
    $student->fill('input[name=password]', 'low-tide-six')->press('Come in')->sees('Sign out');
    $student->open('/day')->sees('Nothing is due today');

    $teacher->open('/students')->waitFor($shows('nothing given'), 'the student is not there');
    pressInRow($teacher, 'Pupil Nine', 'Give');
    $teacher->choose('What', 'Slack Water');
    $teacher->element('[aria-label="From which stage on"]')->click();
    $both = '//div[contains(@class,"ant-select-item-option-content") and contains(., "Both, slow and even")]';
    $teacher->waitFor(fn () => $teacher->driver->findElements(WebDriverBy::xpath($both))[0] ?? null, 'the stage is not on offer')->click();
    $teacher->press('Give it')->waitFor($shows('Both, slow and even'), 'nothing is given');

    $student->open('/day')->sees('Both, slow and even')->sees('Slack Water');
    expect($student->barriers())->toBe([]);
    // The device has the page, the day, and the stage at every tempo of its ladder: now the connection may go.
    $student->waitFor(static fn (): bool => $student->script(<<<'JS'
        return (async () => {
            const sheets = await (await caches.open('gravik-data')).keys()
            const page = await (await caches.open('gravik-page')).match('/')
            return page !== undefined && sheets.filter(({ url }) => url.includes('/practice') && url.includes('tempo=')).length > 3
        })()
        JS) === true, 'nothing is kept for later');
    $server = Stage::running()->server;
    $takes = static fn (): int => (int) (new PDO("sqlite:{$server->folder}/gravik.sqlite"))->query('select count(*) from takes')->fetchColumn();
    $before = $takes();
    $server->kill();
    $student->open('/day')->press('Begin')->element('.practise-ready');
    expect($student->barriers())->toBe([]);
    $student->press('Play along')->element('.pad');
    $student->waitFor(static fn (): bool => str_contains($student->words('.recording-count'), 'Bar 1'), 'the count-in does not end');
    foreach (range(1, 8) as $tap) {
        $student->script('document.querySelectorAll(".pad")[arguments[0] % 2].dispatchEvent(new PointerEvent("pointerdown", { bubbles: true }))', [$tap]);
    }
    $student->press('Stop')->sees('is not judged yet');
    $student->open('/day')->sees('1 take waits on this device to be judged');
    $student->driver->get('about:blank');

    $server->startAgain();
    $student->open('/day')->waitFor(static fn (): bool => $takes() === $before + 1, 'the take that waited is not judged');
    $student->waitFor(static fn (): bool => ! $student->says('waits on this device'), 'the judged take still waits');
    $student->open('/day')->sees('minutes today')->press('Go on')->element('.practise-ready');
    expect($takes())->toBe($before + 1);
    $student->script('document.querySelector(".practise-bench").click()');
    $student->element('.lock-more');
    $student->fill('[aria-label="A sentence on this take"]', 'I lost the third bar.')->press('Say it')
        ->sees('Pupil Nine I lost the third bar.');

    $teacher->open('/students')->waitFor($shows('hear it'), 'nobody sees that the student is stuck');
    $teacher->script('[...document.querySelectorAll(".class-board a")].at(0).click()');
    $teacher->sees('I lost the third bar.')->fill('[aria-label="A sentence on this take"]', 'Count it aloud first.')->press('Say it')
        ->sees('Count it aloud first.');

    $song = Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| Dm | A7 |']]], 'xxxx', 1);
    $timeline = (new Performer())->perform($song, new Tempo(90));
    $file = "{$server->folder}/take.wav";
    file_put_contents($file, (new SimulatedTake($timeline, (new SimulatedPlayer(0, 0, 4, 0, 9))->play($timeline, 8)))->wav());
    $student->fill('input[aria-label=Tempo]', '90')->choose('Bars to record', '8 bars');
    $student->driver->findElement(WebDriverBy::cssSelector('input[aria-label="A recording"]'))
        ->setFileDetector(new LocalFileDetector())->sendKeys($file);
    $student->sees('32 of 32 strokes met');
    $student->open('/day')->waitFor(fn (): bool => ! $student->says('Both, slow and even'), 'the next stage does not open');
    $teacher->open('/students')->waitFor(
        fn (): bool => $shows('nothing sticks')() && $shows('2 of ')(),
        'the teacher does not see that it was passed',
    );
});

it('has no barrier on the class board and in its sheets', function (): void {
    $page = Stage::running()->teacher()->open('/students')->sees('Student A');
    expect($page->barriers())->toBe([]);
    foreach (['i' => '.dialog-body', 'g' => '.dialog-body'] as $key => $shows) {
        $page->keys($key)->element($shows);
        expect([$key => $page->barriers()])->toBe([$key => []]);
        $page->open('/students')->sees('Student A');
    }
});

afterEach(fn () => Stage::running()->endExtraPages());
