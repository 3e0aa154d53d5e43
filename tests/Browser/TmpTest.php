<?php
use Tests\Browser\Support\Stage;
use Facebook\WebDriver\WebDriverKeys;
it('looks', function (): void {
    $page = Stage::running()->teacher()->makeBreakdown('Lamp Oil Quay', '| C |');
    $page->station('listen', '.listen');
    $page->driver->findElement(Facebook\WebDriver\WebDriverBy::cssSelector('input[aria-label="A recording"]'))->sendKeys(getenv('WAVFILE'));
    $page->waitFor(fn (): bool => $page->all('.listen-figures') !== [], 'not heard', 60);
    $page->waitFor(fn (): bool => $page->all('.overview-chord') !== [], 'no chords', 60);
    $page->picture('/tmp/listen1.png');
    $page->driver->executeScript("[...document.querySelectorAll('.taking .ant-segmented-item')].at(-1).click()");
    $page->waitFor(fn (): bool => $page->all('.draft-parts li') !== [], 'no parts', 60);
    usleep(500000);
    $page->picture('/tmp/listen2.png');
    $page->press('Draft all of it');
    usleep(1500000);
    $page->picture('/tmp/listen3.png');
    $page->station('chart', '.chart-bar');
    usleep(1500000);
    $page->picture('/tmp/listen4.png');
    expect(true)->toBeTrue();
});
