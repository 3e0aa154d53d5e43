<?php

declare(strict_types=1);

namespace Gravik\Ensemble\Check;

use Gravik\Band\BandPart;
use Gravik\Band\Way;
use Gravik\Breakdown\Breakdown;
use Gravik\Chart\VoicingLine;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Mend;

/** Repairs of a guitar's grips. A second guitar that has no line of its own takes shells, which lie high and hold no root. */
final readonly class GuitarGrips
{
    /** @param callable(VoicingLine): VoicingLine $changed the line that it plays there */
    public static function mend(Heard $heard, BandPart $guitar, int $bar, string $words, callable $changed): Mend
    {
        $line = $heard->writtenLine($guitar, $bar);

        return $line === null
            ? new Mend(
                'Let '.Heard::name($guitar).' play shells',
                static fn (): Breakdown => $heard->with($guitar->with(way: Way::Shells)),
            )
            : new Mend($words, static fn (): Breakdown => $heard->breakdown->withLine($changed($line)));
    }
}
