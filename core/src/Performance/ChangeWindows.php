<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Neck\Grip\FingerMoves;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Neck;
use Gravik\Strokes\LengthKind;

/**
 * Finds every change of grip in a performance and whether the hand has time for it. Needed: 100 ms + 60 ms·log2(D/W + 1),
 * D the hand's travel and W the width of the target fret, both in mm (rule of thumb).
 */
final readonly class ChangeWindows
{
    private const BASE_MS = 100.0;

    private const PER_DOUBLING_MS = 60.0;

    /** A stroke left to ring may be let go after this share of its time without anybody missing it. */
    private const RINGING_SHARE = 0.5;

    private const SLIDE_FRETS = 2;

    public function __construct(private Neck $neck) {}

    /** @return list<ChangeWindow> in order of time */
    public function of(Timeline $timeline): array
    {
        $windows = [];
        $last = null;
        $held = 0.0;
        foreach ($timeline->strokes as $stroke) {
            if ($last !== null && $last->voicing->frets !== $stroke->voicing->frets) {
                $windows[] = $this->window($last, $stroke, $held);
                $held = 0.0;
            }
            $held = max($held, self::mustSoundUntil($stroke));
            $last = $stroke;
        }

        return $windows;
    }

    /** @return list<ChangeWindow> the same change with the same time comes again and again in a tune: each once, where it comes first */
    public function different(Timeline $timeline): array
    {
        $different = [];
        foreach ($this->of($timeline) as $window) {
            $different[$window->from->text().'>'.$window->to->text().'@'.round($window->haveMs)] ??= $window;
        }

        return array_values($different);
    }

    /** What a change to this grip needs, in ms; 0 where no finger moves. */
    public function needMs(Voicing $from, Voicing $to): float
    {
        if (FingerMoves::between($from, $to)->none || self::slides($from, $to)) {
            return 0.0;
        }
        $width = $to->position === 0
            ? $this->neck->fretMm(1) - $this->neck->fretMm(0)
            : $this->neck->fretMm($to->position) - $this->neck->fretMm($to->position - 1);

        return self::BASE_MS + self::PER_DOUBLING_MS * log($this->neck->travelMm($from->position, $to->position) / $width + 1, 2);
    }

    /** One grip pushed a fret or two along sounds all the way: it needs no gap. */
    public static function slides(Voicing $from, Voicing $to): bool
    {
        return $from->shape() === $to->shape()
            && ! in_array(0, $from->frets, true)
            && abs($to->position - $from->position) <= self::SLIDE_FRETS;
    }

    /** Seconds; a dead stroke and open strings leave the fretting hand free at once. */
    public static function mustSoundUntil(PlayedStroke $played): float
    {
        $until = $played->t;
        foreach ($played->strings as $place => $string) {
            if (! $played->stroke->isDead() && ($played->voicing->frets[$string] ?? 0) > 0) {
                $until = max($until, $played->ends[$place]);
            }
        }
        $rings = $played->stroke->length === null
            || in_array($played->stroke->length->kind, [LengthKind::UntilNext, LengthKind::UntilChange], true);

        return $rings ? $played->t + self::RINGING_SHARE * ($until - $played->t) : $until;
    }

    private function window(PlayedStroke $last, PlayedStroke $first, float $heldUntil): ChangeWindow
    {
        $moves = FingerMoves::between($last->voicing, $first->voicing);

        return new ChangeWindow($first->chord, $last->voicing, $first->voicing, 1000 * max(0.0, $first->t - $heldUntil), $this->needMs(
            $last->voicing,
            $first->voicing,
        ),
            $this->neck->travelMm(
                $last->voicing->position,
                $first->voicing->position,
            ), $moves->stay, $moves->slide, $moves->common, $last, $first);
    }
}
