<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\CapoMover;
use Gravik\Breakdown\Differences;
use Gravik\Breakdown\SetUp;
use Gravik\Formats\BreakdownJson;
use Gravik\Neck\Tuning;
use Gravik\Tests\Support\Examples;

it('says what is played otherwise, and nothing of the rest', function (array $part, array $says): void {
    $json = new BreakdownJson();
    $song = Examples::breakdown();

    expect(Differences::between($song, $json->read(array_replace_recursive($json->write($song), $part))))->toBe($says);
})->with([
    'nothing' => [[], []],
    'words of the teacher' => [['notes' => 'Breathe.', 'title' => 'Another'], []],
    'tempo' => [['start' => ['tempo' => 99]], ['the tempo is 99 instead of 120']],
    'key' => [['start' => ['key' => 'F major']], ['the key is F major instead of D minor']],
    'feel' => [['start' => ['feel' => ['ratio' => 2]]], ['the feel is 67 % swing instead of straight']],
    'a stroke' => [['patterns' => [['streams' => [['strokes' => [['accent' => 3]]]]]]], ['the strokes of pattern 1']],
    'a pass more' => [['passes' => [1 => ['id' => 'last', 'name' => 'Out', 'notes' => '', 'cells' => []]]], ['the pass “Out” (new)']],
    'how often a section comes' => [['form' => [['times' => 2]]], ['the way through the song is another']],
    'a grip' => [['lines' => [['company' => 'with-bass']]], ['the grips of line 1']],
]);

it('names the bar with what it was, the strokes by their name, and how many bars more there are', function (): void {
    $plain = fn (string $line): Breakdown => Examples::breakdown(['sections' => [['name' => 'Verse', 'line' => $line]]]);
    $said = fn (string $was, string $is): array => Differences::between($plain($was), $plain($is));

    expect($said('| Dm | A7 |', '| Dm | E7 A7 |'))->toBe(['bar 2: E7 A7 instead of A7'])
        ->and($said('| Dm | A7 |', '| Dm |'))->toBe(['Verse is 1 bar shorter'])
        ->and($said('| Dm | A7 |', '| Dm | A7 | Gm |'))->toBe(['bar 3: Gm'])
        ->and($said('| C | C | C | C | C | C |', '| F | F | F | F | F | F |'))->toHaveCount(5)
        ->and($said('| C | C | C | C | C | C |', '| F | F | F | F | F | F |')[4])->toBe('2 more bars of Verse')
        ->and(Differences::between($plain('| Dm |'), (new CapoMover())->move($plain('| Dm |'), 3)->breakdown)[0])
        ->toBe('the capo is at 3 instead of off');
});

it('cautions where the original is in another tuning', function (): void {
    expect((new SetUp('', Tuning::parse('drop-d')))->caution(Tuning::standard()))->toContain('drop-d')
        ->and((new SetUp('', Tuning::standard()))->caution(Tuning::standard()))->toBeNull()
        ->and((new SetUp('pick'))->caution(Tuning::standard()))->toBeNull();
});
