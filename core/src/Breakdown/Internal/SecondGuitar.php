<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Internal;

use Gravik\Band\BandPart;
use Gravik\Band\CompRhythm;
use Gravik\Band\Instrument;
use Gravik\Band\Style;
use Gravik\Band\Way;
use Gravik\Breakdown\Texture;
use Gravik\Chart\VoicingLine;
use Gravik\Neck\Company;
use Gravik\Neck\FretRange;
use Gravik\Neck\Line\PathWishes;
use Gravik\Strokes\Length;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Time\Meter;

/**
 * What a second guitar plays where no cell names a pattern or line for it: the rhythm of its way, over grips on fewer
 * strings and higher up the neck than a guitar alone takes. Their ids can be no written pattern's.
 *
 * @internal used by Cells and Breakdown
 */
final readonly class SecondGuitar
{
    /** All rhythms come round in so many bars. */
    private const BARS = 4;

    private const UP_THE_NECK = 3;

    private function __construct(private Way $way) {}

    /** @return ?self null for a part that is none */
    public static function of(BandPart $part): ?self
    {
        return $part->instrument === Instrument::SecondGuitar ? new self($part->way() ?? Way::Shells) : null;
    }

    public function pattern(Meter $meter, Style $style): NamedPattern
    {
        $strokes = [];
        for ($bar = 0; $bar < self::BARS; $bar++) {
            $rhythm = CompRhythm::of($this->way, $meter, $bar, $style);
            foreach ($rhythm->struck() as ['at' => $at, 'ticks' => $ticks, 'hard' => $hard]) {
                $strokes[] = new Stroke(
                    $bar * $meter->barTicks() + $at,
                    $rhythm->grid,
                    accent: $hard ? 2 : 1,
                    length: Length::ofTicks($ticks),
                );
            }
        }

        return new NamedPattern(
            "second-guitar/{$this->way->value}/{$style->value}",
            "second guitar, {$this->way->words()}",
            new Pattern($meter, self::BARS * $meter->barTicks(), [new Stream('strum', $strokes)]),
        );
    }

    /** @param int $strings of the neck */
    public function line(int $strings): VoicingLine
    {
        [$company, $used] = match ($this->way) {
            Way::Spread => [Company::WithBass, '5-2'],
            Way::Upbeats, Way::Pads => [Company::WithBass, '4-1'],
            default => [Company::Shell, '4-2'],
        };

        return new VoicingLine(
            "second-guitar/{$this->way->value}",
            "second guitar, {$this->way->words()}",
            $company,
            new PathWishes(new FretRange(self::UP_THE_NECK, 15), $strings < 6 ? '' : $used),
        );
    }

    public function texture(): Texture
    {
        return $this->way === Way::Pads ? Texture::Rings : Texture::Pattern;
    }
}
