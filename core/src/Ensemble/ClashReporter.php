<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Band\BandPart;
use Gravik\Breakdown\Breakdown;
use Gravik\Ensemble\Check\Colours;
use Gravik\Ensemble\Check\FillUnderSinging;
use Gravik\Ensemble\Check\FourOutsideSwing;
use Gravik\Ensemble\Check\KicksApart;
use Gravik\Ensemble\Check\Mud;
use Gravik\Ensemble\Check\NearlyAlike;
use Gravik\Ensemble\Check\NothingToDouble;
use Gravik\Ensemble\Check\RootDoubled;
use Gravik\Ensemble\Check\SameOctave;
use Gravik\Ensemble\Check\TooLoud;
use Gravik\Ensemble\Check\TwoLead;
use Gravik\Ensemble\Check\WrongLeader;
use Gravik\Performance\Timeline;

/** Looks at a band for everything that may be in somebody's way. */
final readonly class ClashReporter
{
    /** @return list<Check> */
    private static function checks(): array
    {
        return [
            new TwoLead(), new NearlyAlike(), new Colours(), new Mud(), new RootDoubled(), new SameOctave(), new FourOutsideSwing(),
            new WrongLeader(), new TooLoud(), new KicksApart(), new FillUnderSinging(),
            new NothingToDouble(),
        ];
    }

    public function report(Breakdown $breakdown, Timeline $timeline): ClashReport
    {
        $heard = new Heard($breakdown, $timeline);
        $clashes = $looked = $unlooked = [];
        foreach (self::checks() as $check) {
            $missing = $check->missing($heard);
            if ($missing !== null) {
                $unlooked[$check->kind()->value] = $missing;
                continue;
            }
            $looked[] = $check->kind();
            array_push($clashes, ...$check->find($heard));
        }
        usort($clashes, static fn (Clash $a, Clash $b): int => [$b->severity, $a->bars[0] ?? 0] <=> [$a->severity, $b->bars[0] ?? 0]);

        return new ClashReport($clashes, $looked, $unlooked, self::holds($heard));
    }

    /** @return list<string> unisons that are together to the tick: to be left alone */
    private static function holds(Heard $heard): array
    {
        $parts = array_values(array_filter($heard->breakdown->parts, static fn (BandPart $part): bool => $part->instrument->playsChords()));
        $holds = [];
        foreach (array_keys($heard->timeline->course->bars) as $bar) {
            foreach ($parts as $number => $one) {
                foreach (array_slice($parts, $number + 1) as $other) {
                    if (Overlap::of($heard->onsets($one, $bar), $heard->onsets($other, $bar))->isUnison()) {
                        $holds["{$one->id} {$other->id}"] ??= sprintf(
                            '%s and %s strike together in %s.',
                            ucfirst(Heard::name($one)),
                            Heard::name($other),
                            $heard->barWords($bar),
                        );
                    }
                }
            }
        }

        return array_values($holds);
    }
}
