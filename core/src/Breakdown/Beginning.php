<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\BandPart;
use Gravik\Band\Groove;
use Gravik\Band\Instrument;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Section;
use Gravik\Chart\Setting;
use Gravik\Chart\VoicingLine;
use Gravik\Harmony\Key;
use Gravik\Neck\Company;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

/** What a new breakdown starts from. */
final readonly class Beginning
{
    private const TEMPO = 112.0;

    private const GROOVE = 'straight-drive';

    /** A plain strum in 4/4: one on every beat, the off-beats of 2 and 4, these beats a little stronger; bass and drums along. */
    public static function blank(): Breakdown
    {
        $meter = Meter::parse('4/4');
        $strokes = array_map(
            static fn (int $at): Stroke => new Stroke($at, 2, accent: $at % 1920 === 960 ? 2 : 1),
            [0, 960, 1440, 1920, 2880, 3360],
        );
        $groove = Groove::named(self::GROOVE);

        return new Breakdown(
            'Untitled',
            '',
            '',
            new Setting(Key::parse('C major'), $meter, new Tempo(self::TEMPO), Feel::straight()),
            new Neck(Tuning::standard()),
            [new Section('s1', 'A', '')],
            [new FormEntry('s1')],
            [new NamedPattern('p1', '', new Pattern($meter, $meter->barTicks(), [new Stream('strum', $strokes)]))],
            [new VoicingLine('l1', '', Company::WithBass)],
            [
                new BandPart('drums', Instrument::Drums, groove: $groove),
                new BandPart('bass', Instrument::Bass, groove: $groove),
                new BandPart('guitar', Instrument::Guitar),
            ],
            [new Pass('1')],
        );
    }
}
