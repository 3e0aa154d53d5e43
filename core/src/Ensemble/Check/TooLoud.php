<?php

declare(strict_types=1);

namespace Gravik\Ensemble\Check;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Ensemble\Check;
use Gravik\Ensemble\Clash;
use Gravik\Ensemble\ClashKind;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Mend;
use Gravik\Ensemble\Sounding;
use Gravik\Ensemble\Soundings;

/** A chordal part that hangs less far below the soloist than this kind of soloist asks for. */
final readonly class TooLoud implements Check
{
    /** So many dB over what is asked are as bad as can be. */
    private const WORST_DB = 10.0;

    public function kind(): ClashKind
    {
        return ClashKind::TooLoud;
    }

    public function missing(Heard $heard): ?string
    {
        return $heard->part(Instrument::Lead) === null ? 'nobody leads: add a voice or a soloist to the band' : null;
    }

    public function find(Heard $heard): array
    {
        $soundings = Soundings::of($heard);
        $clashes = [];
        foreach ($soundings->parts as $sounding) {
            if ($sounding->covers()) {
                $clashes[] = $this->clash($heard, $soundings, $sounding);
            }
        }

        return $clashes;
    }

    private function clash(Heard $heard, Soundings $soundings, Sounding $sounding): Clash
    {
        [$least, $most] = $sounding->asked;
        $by = ($least + $most) / 2 - $sounding->belowDb;
        $softer = $sounding->part->with(level: min(1.0, $sounding->part->level * 10 ** (-$by / 20)));

        return new Clash(
            $this->kind(),
            sprintf(
                '%s lies %.1f dB below the soloist; one that is %s asks for %.0f to %.0f.',
                ucfirst(Heard::name($sounding->part)),
                $sounding->belowDb,
                $soundings->kind->words(),
                $least,
                $most,
            ),
            min(1.0, $sounding->over() / self::WORST_DB),
            [$sounding->part->id],
            self::barsOf($heard, $sounding->part),
            [],
            [
                new Mend(
                    sprintf('Turn %s down by %.1f dB', Heard::name($sounding->part), $by),
                    static fn (): Breakdown => $heard->with($softer),
                ),
            ],
        );
    }

    /** @return list<int> all in which it plays */
    private static function barsOf(Heard $heard, BandPart $part): array
    {
        return array_values(array_filter(
            array_keys($heard->timeline->course->bars),
            static fn (int $bar): bool => $heard->in($part, $bar) !== [],
        ));
    }
}
