<?php

declare(strict_types=1);

use Gravik\Formats\BreakdownJson;
use Gravik\Formats\ChordProFile;
use Gravik\Formats\DraftFile;
use Gravik\Formats\MidiFile;
use Gravik\Formats\MusicXmlFile;
use Gravik\Formats\TabText;
use Gravik\Performance\Performer;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Frozen;

it('writes open formats and drafts what it reads of them as it did', function (): void {
    $songs = [
        'every field' => Frozen::full(),
        'swung' => Examples::breakdown(['feel' => Examples::swing(1.7), 'company' => 'with-bass'], 'X.c.xgx.'),
        'in three' => Examples::breakdown(['meter' => '3/4', 'capo' => 2], 'x.x.c.'),
        ...Frozen::documents(60),
    ];
    $figures = [];
    foreach ($songs as $name => $song) {
        $timeline = (new Performer())->perform($song);
        $voiced = array_values($timeline->voiced)[0];
        foreach ([
            'score' => static fn (): string => (new MusicXmlFile())->write($song, $timeline),
            'tab' => static fn (): string => (new TabText())->write($song, $timeline),
            'chord sheet' => static fn (): string => (new ChordProFile())->write($song, $voiced),
            'notes' => static fn (): string => (new MidiFile())->write($song, $timeline),
        ] as $format => $write) {
            $figures["{$name}, {$format}"] = static fn (): array => [strlen($write()), bin2hex($write())];
            $figures["{$name}, {$format} read"] = static function () use ($write): array {
                $draft = DraftFile::read($write(), 'A file');

                return [$draft->read, $draft->unread, (new BreakdownJson())->print($draft->breakdown), $draft->picture];
            };
        }
    }
    Frozen::hold('Formats-drafts', $figures);
});
