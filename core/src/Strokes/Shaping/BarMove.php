<?php

declare(strict_types=1);

namespace Gravik\Strokes\Shaping;

use Gravik\Strokes\Articulation;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\Length;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Zone;

/** A short gesture laid over one bar as it is played anyway; what it strikes is the grip of its place, whatever chord and key. */
enum BarMove: string
{
    case Push = 'push';
    case OpenStringHop = 'open-string-hop';
    case MutedFill = 'muted-fill';
    case SignalAccent = 'signal-accent';
    case StabAnswer = 'stab-answer';
    case GraceHammer = 'grace-hammer';

    /** A stab lasts this share of its slot. */
    private const STAB = 0.5;

    private const FIRM = 1;

    private const HARD = 2;

    public function words(): string
    {
        return match ($this) {
            self::Push => 'push',
            self::OpenStringHop => 'open-string hop',
            self::MutedFill => 'muted fill',
            self::SignalAccent => 'signal accent',
            self::StabAnswer => 'stab answer',
            self::GraceHammer => 'grace hammer',
        };
    }

    public function why(): string
    {
        return match ($this) {
            self::Push => 'the next chord comes half a beat early',
            self::OpenStringHop => 'open strings sound on the last upbeat while the hand moves',
            self::MutedFill => 'dead strokes fill the end of the bar',
            self::SignalAccent => 'the first beat, hardest of all, announces something',
            self::StabAnswer => 'silence, then two short hard stabs that answer',
            self::GraceHammer => 'the upper strings are hammered on from a fret below',
        };
    }

    /**
     * @param Pattern $bar   one bar
     * @param int     $slots how many are filled, counted back from the bar line; other moves ask for none
     */
    public function over(Pattern $bar, int $slots = 4): Pattern
    {
        $beat = $bar->meter->beatTicks();
        $grid = $bar->meter->isCompound() ? 3 : max(2, $bar->grid());
        $slot = intdiv($beat, $grid);
        $end = $bar->meter->barTicks();
        $upbeat = $end - intdiv($beat, $bar->meter->isCompound() ? 3 : 2);
        $half = $bar->meter->isCompound() ? 3 : 2;

        return match ($this) {
            self::Push => self::tail($bar, $upbeat, [new Stroke($upbeat, $half, accent: self::HARD, chord: ChordOf::Next)]),
            self::OpenStringHop => self::tail($bar, $upbeat, [new Stroke($upbeat, $half, accent: self::FIRM, chord: ChordOf::Open)]),
            self::MutedFill => self::tail($bar, max(0, $end - $slots * $slot), array_map(
                static fn (int $at): Stroke => new Stroke($at, $grid, articulation: Articulation::Chuck),
                range(max(0, $end - $slots * $slot), $end - $slot, $slot),
            )),
            self::SignalAccent => self::first($bar, static fn (Stroke $stroke): Stroke => $stroke->accented(Stroke::STRONGEST_ACCENT)),
            self::StabAnswer => self::tail($bar, 0, array_map(
                static fn (int $at): Stroke => new Stroke($at, $half, accent: self::HARD, length: Length::ofSlot(self::STAB)),
                [$upbeat - $beat, $upbeat],
            )),
            self::GraceHammer => self::first($bar, static fn (Stroke $stroke): Stroke => $stroke
                ->striking(Zone::High, $stroke->action, $stroke->by)->ornamented(new Ornament(OrnamentKind::Grace, -1))),
        };
    }

    /**
     * The bar up to a tick, and then these strokes; a second line goes on up to there.
     *
     * @param list<Stroke> $strokes
     */
    private static function tail(Pattern $bar, int $from, array $strokes): Pattern
    {
        return $bar->withStreams(array_map(static fn (Stream $stream, int $number): Stream => new Stream($stream->name, [
            ...array_values(array_filter($stream->strokes, static fn (Stroke $stroke): bool => $stroke->at < $from)),
            ...($number === 0 ? $strokes : []),
        ]), $bar->streams, array_keys($bar->streams)));
    }

    /** @param callable(Stroke): Stroke $change of the stroke on the first beat; one is struck there where there is none */
    private static function first(Pattern $bar, callable $change): Pattern
    {
        $strokes = $bar->streams[0]->strokes;
        $begins = isset($strokes[0]) && $strokes[0]->at === 0;
        $first = $begins ? array_shift($strokes) : new Stroke(0, 1);
        $changed = new Stream(
            $bar->streams[0]->name,
            [$change($first->isDead() ? $first->articulated(Articulation::Ring) : $first), ...$strokes],
        );

        return $bar->withStreams([$changed, ...array_slice($bar->streams, 1)]);
    }
}
