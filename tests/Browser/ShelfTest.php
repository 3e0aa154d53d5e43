<?php

declare(strict_types=1);

use Database\Seeders\DatabaseSeeder;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Stage;

it('lets nobody in with a wrong password, and says so', function (): void {
    $page = Stage::running()->page()->open('/');
    $page->element('input[name=email]')->sendKeys(DatabaseSeeder::TEACHER['email']);
    $page->element('input[name=password]')->sendKeys('low-tide');
    $page->press('Sign in')->sees('do not belong together');
    expect($page->says('Shelf'))->toBeFalse();
});

it('shows, searches and arranges the shelf, and takes a deletion back', function (): void {
    $page = Stage::running()->teacher();
    $page->sees('Marzipan Ferry')->sees('Slow Dredger');
    $page->fill('input[aria-label="Search the shelf"]', 'waltz')->waitFor(
        fn (): bool => ! $page->says('Marzipan Ferry'),
        'the search changes nothing',
    );
    expect($page->words('.book b'))->toBe('Rope Walk Waltz');
    $page->fill('input[aria-label="Search the shelf"]', 'nothing like it')->sees('Nothing on the shelf matches');
    $page->press('Show all')->sees('Marzipan Ferry');

    $page->keys(WebDriverKeys::ARROW_RIGHT)->press('Duplicate')->sees('(copy)');
    $page->press('Rename');
    $page->fill('input[aria-label="New title"]', 'Lantern Regatta')->element('.ant-modal .ant-btn-primary')->click();
    $page->sees('Lantern Regatta');
    $page->press('Delete')->sees('is off the shelf');
    $page->waitFor(fn (): bool => ! str_contains($page->words('.book b'), 'Lantern Regatta'), 'it is still on the shelf');
    $page->press('Undo')->waitFor(fn (): bool => str_contains($page->words('.book b'), 'Lantern Regatta'), 'it did not come back');
});

it('makes a new breakdown in under a minute, bad chord and double click included', function (): void {
    $started = microtime(true);
    $page = Stage::running()->teacher();
    $page->keys('n')->fill('input[name=title]', 'Dry Dock')->fill('input[name=tempo]', '96');
    $page->fill('.line-field textarea', '| Dm6 | Ebv9 | Gm7 A7 | Dm6 |')->sees('Did you mean "E♭9"?');
    expect($page->words('.line-marks mark'))->toBe('v | 9');
    $page->press('Use E♭9')->waitFor(fn (): bool => ! $page->says('Did you mean'), 'the chord is still marked');
    $page->script('const make = [...document.querySelectorAll("button")].find((each) => each.textContent === "Make it"); make.click(); make.click()');
    $page->element('.chart-bar');
    expect($page->words('.bar-chord'))->toBe('Dm6 | E♭9 | Gm7 | A7 | Dm6')
        ->and(microtime(true) - $started)->toBeLessThan(60);
    // The bench says its title too: only the shelf has books.
    $page->chord(WebDriverKeys::ALT, '0')->waitFor(
        fn (): bool => str_contains($page->words('.book b'), 'Dry Dock'),
        'the shelf does not have it',
    );
    expect(substr_count($page->words('.book b'), 'Dry Dock'))->toBe(1);
});

it('shows a student on a phone what is theirs to play, and nothing to change', function (): void {
    $page = Stage::running()->page()->resizeInside(390, 844)->open('/');
    $page->element('input[name=email]')->sendKeys(DatabaseSeeder::STUDENT['email']);
    $page->element('input[name=password]')->sendKeys(DatabaseSeeder::STUDENT['password']);
    $page->press('Sign in')->sees('3 breakdowns');
    expect($page->says('New breakdown'))->toBeFalse()->and($page->says('Delete'))->toBeFalse();
    $page->press('Open')->sees('Record a take');
    expect($page->script('return document.documentElement.scrollWidth <= window.innerWidth'))->toBeTrue()
        ->and($page->says('Key, tempo, band'))->toBeFalse();
});

afterEach(fn () => Stage::running()->endExtraPages());

it('leads whoever comes first through the stations on a breakdown of their own, and lets them go', function (): void {
    $page = Stage::running()->page()->open('/');
    $server = Stage::running()->server;
    $database = new PDO("sqlite:{$server->folder}/gravik.sqlite");
    $database->prepare("insert into users (name, email, password, role, owner) values ('Nils', 'nils@gravik.test', ?, 'teacher', 0)")
        ->execute([password_hash('harbour-light', PASSWORD_BCRYPT, ['cost' => 4])]);
    $page->signIn('nils@gravik.test', 'harbour-light');
    $page->sees('The shelf is empty')->press('Make the first breakdown')->fill('input[name=title]', 'First Tide');
    $page->fill('.line-field textarea', '| Dm | A7 |')->press('Make it')->sees('Type a line of chords, bar by bar');
    expect($page->barriers())->toBe([]);
    $page->press('On to Shapes')->sees('pin the one you teach');
    $page->element('.candidate');
    $page->keys(WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ENTER)->waitFor(
        fn (): bool => $page->all('.first-path li.here.done') !== [],
        'the pinned grip is not ticked off',
    );
    $page->open((string) parse_url($page->driver->getCurrentURL(), PHP_URL_PATH))->sees('pin the one you teach');
    $page->press('I find my way')->waitFor(fn (): bool => $page->all('.first-path') === [], 'the way does not end');
    $page->open((string) parse_url($page->driver->getCurrentURL(), PHP_URL_PATH))->element('.candidate');
    expect($page->all('.first-path'))->toBe([]);
    Stage::running()->endExtraPages();
});
