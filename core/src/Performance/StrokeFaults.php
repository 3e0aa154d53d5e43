<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Chart\VoicedForm;
use Gravik\Performance\Internal\ZoneStrings;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\Counting;
use Gravik\Strokes\Hand\HandPlan;
use Gravik\Strokes\Hand\Warning;
use Gravik\Strokes\Hand\WarningKind;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\Stroke;

/** Strokes that the grips of the form cannot take as they are drawn: strings that are muted there, slides below the nut. */
final readonly class StrokeFaults
{
    private const FROM_A_BEND = [OrnamentKind::Bent, OrnamentKind::Release];

    private const FROM_ELSEWHERE = [
        OrnamentKind::SlideIn,
        OrnamentKind::SlideOut,
        OrnamentKind::HammerOn,
        OrnamentKind::PullOff,
        OrnamentKind::Grace,
    ];

    /**
     * @param VoicedForm $voiced grips of the line it is played over
     *
     * @return list<Warning> one for each stroke of the pattern that has one, naming its slot
     */
    public function of(VoicedForm $voiced, HandPlan $hand): array
    {
        $warnings = [];
        foreach ($hand->pattern->strokes() as $stroke) {
            $warning = $this->stroke($voiced, $hand, $stroke);
            if ($warning !== null) {
                $warnings[] = $warning;
            }
        }

        return [...$warnings, ...$this->bends($hand)];
    }

    /** @return list<Warning> strokes that go on from a bend which nothing before them bends */
    private function bends(HandPlan $hand): array
    {
        $warnings = [];
        foreach ($hand->pattern->streams as $stream) {
            foreach ($stream->strokes as $place => $stroke) {
                if (! in_array($stroke->ornament?->kind, self::FROM_A_BEND, true)) {
                    continue;
                }
                $before = $stream->strokes[$place - 1] ?? $stream->strokes[count($stream->strokes) - 1];
                if (! in_array($before->ornament?->kind, [OrnamentKind::Bend, OrnamentKind::Bent], true)) {
                    $warnings[] = new Warning(
                        WarningKind::NoBendBefore,
                        sprintf(
                            'The stroke on %s goes on from a bend, and the stroke before it bends nothing. Bend that one first, or strike this one plainly.',
                            Counting::place($hand->pattern, $stroke->at),
                        ),
                        [$stroke->at],
                    );
                }
            }
        }

        return $warnings;
    }

    private function stroke(VoicedForm $voiced, HandPlan $hand, Stroke $stroke): ?Warning
    {
        $silent = [];
        $below = [];
        foreach ($stroke->chord === ChordOf::Open ? [] : $voiced->path->voicings as $voicing) {
            $strings = ZoneStrings::of($stroke, $voicing);
            if ($strings === []) {
                $silent[$voicing->chord->text()] = true;
            }
            foreach ($strings as $string) {
                if (in_array(
                    $stroke->ornament?->kind,
                    self::FROM_ELSEWHERE,
                    true,
                ) && (int) $voicing->frets[$string] + $stroke->ornament->frets < 0) {
                    $below[$voicing->chord->text()] = true;
                }
            }
        }
        $slot = 'The stroke on '.Counting::place($hand->pattern, $stroke->at);

        return match (true) {
            $silent !== [] => new Warning(
                WarningKind::SilentStrings,
                sprintf(
                    '%s strikes strings that the grip of %s mutes. Choose another zone, or another grip.',
                    $slot,
                    implode(', ', array_keys($silent)),
                ),
                [$stroke->at],
            ),
            $below !== [] => new Warning(
                WarningKind::BelowTheNut,
                sprintf(
                    '%s slides below the nut on %s. Slide from a nearer fret, or take a grip higher up.',
                    $slot,
                    implode(', ', array_keys($below)),
                ),
                [$stroke->at],
            ),
            default => null,
        };
    }
}
