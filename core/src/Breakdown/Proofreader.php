<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Internal\OffChordDyads;
use Gravik\Breakdown\Internal\StringsSaid;
use Gravik\Chart\FormChord;
use Gravik\Chart\Pin;
use Gravik\Chart\VoicingLine;
use Gravik\Harmony\ChordName;
use Gravik\Harmony\Scale;
use Gravik\Neck\Grip\Frets;
use Gravik\Neck\Grip\GripNamer;
use Gravik\Neck\HandProfile;

/**
 * Reads a breakdown along as it is written: grips against their names, grips that were moved, chords against the
 * key, figures against their chord, strings named in words against the tuning.
 */
final readonly class Proofreader
{
    /** How far a wrong fret may lie from the right one to be taken for a slip. */
    private const SLIP = 3;

    private const MOST_FIXES = 3;

    public function __construct(private HandProfile $hand = new HandProfile()) {}

    /** @return list<Remark> in the order of the form; what is about the whole tune last */
    public function read(Breakdown $breakdown): array
    {
        $form = $breakdown->written();
        $marks = new MarkReader($breakdown);
        $remarks = [];
        foreach ($form->chords as $chord) {
            foreach ($breakdown->lines as $line) {
                foreach ($line->pins as $pin) {
                    $asked = $pin->belongsTo($chord)
                        && ! $marks->isColour(new MarkedValue(Marked::Grip, 'frets', $line->id, $pin->at));
                    $remarks[] = $asked ? $this->grip($breakdown, $line, $pin, $chord) : null;
                }
            }
        }
        $remarks = array_values(array_filter($remarks));
        $scale = Scale::ofKey($breakdown->start->key);
        foreach ($form->differentChords() as $chord) {
            if (! $scale->has($chord->rootPitchClass())) {
                $remarks[] = new Remark(
                    RemarkKind::OutsideKey,
                    null,
                    "{$chord->text()} has its root outside {$breakdown->start->key->text()}. Is it meant, or is the key or the chord misspelt?",
                    [],
                );
            }
        }

        return [...$remarks, ...OffChordDyads::read($breakdown, $marks), ...StringsSaid::read($breakdown)];
    }

    private function grip(Breakdown $breakdown, VoicingLine $line, Pin $pin, FormChord $chord): ?Remark
    {
        if (count($pin->frets) !== $breakdown->neck->tuning->strings()) {
            return null;
        }
        $held = Toolbox::of($breakdown, $line)->finder()->voicing($chord->chord, $pin->frets);
        $names = $this->names($breakdown, $pin->frets, $chord);
        if (! self::isNamed($names, $chord)) {
            $stale = $this->staleFret($breakdown, $line, $pin, $chord);
            if ($stale !== null) {
                return new Remark(
                    RemarkKind::StaleFret,
                    $pin->at,
                    $stale['text'],
                    [[
                        'text' => 'Move that string too: '.Frets::text($stale['frets']),
                        'breakdown' => self::repinned($breakdown, $line, $pin, $stale['frets']),
                    ]],
                );
            }
            $called = $names === [] ? 'nothing we can name' : $names[0]->chord->text();
            $kind = preg_match('/^(?:dim|aug|m7♭5)/u', $chord->chord->ending) === 1 ? RemarkKind::NotDiminished : RemarkKind::OtherChord;
            $fixes = array_map(
                fn (array $frets): array => [
                    'text' => 'Play '.Frets::text($frets),
                    'breakdown' => self::repinned($breakdown, $line, $pin, $frets),
                ],
                $this->nearest($breakdown, $line, $pin, $chord),
            );

            return new Remark(
                $kind,
                $pin->at,
                sprintf('%s sounds %s, and the chart says %s. Which is meant?', Frets::text($pin->frets), $called, $chord->chord->text()),
                $fixes,
            );
        }
        if ($held === null || $held->spanMm > $this->hand->reachMm()) {
            $easiest = Toolbox::of($breakdown, $line)->finder()->find($chord->chord, 1)->best[0];

            return new Remark(RemarkKind::NoHand, $pin->at, sprintf(
                'No hand holds %s: %s.',
                Frets::text($pin->frets),
                $held === null ? 'it takes more than four fingers' : sprintf('it spans %d mm', (int) round($held->spanMm)),
            ),
                [['text' => 'Play '.$easiest->text(), 'breakdown' => self::repinned($breakdown, $line, $pin, $easiest->frets)]]);
        }

        return null;
    }

    /**
     * Another grip of the same chord kind, moved here with all its strings but one.
     *
     * @return array{text: string, frets: list<int|null>}|null
     */
    private function staleFret(Breakdown $breakdown, VoicingLine $line, Pin $pin, FormChord $chord): ?array
    {
        $reader = $breakdown->start->reader();
        foreach ($line->pins as $other) {
            $from = $reader->chord($other->symbol);
            if ($other === $pin || $from->ending !== $chord->chord->ending || count($other->frets) !== count($pin->frets)) {
                continue;
            }
            $moved = Frets::onRootOf($chord->chord, $other->frets, $from);
            $stale = $moved === null
                ? []
                : array_filter(array_keys($moved), static fn (int $string): bool => $moved[$string] !== $pin->frets[$string]);
            $string = count($stale) === 1 ? array_values($stale)[0] : null;
            if ($moved !== null && $string !== null && $pin->frets[$string] === $other->frets[$string]) {
                return ['text' => sprintf('%s is the %s grip %s moved, but string %d stayed at fret %s. Did it move too?', Frets::text($pin->frets), $other->symbol, Frets::text($other->frets),
                    count($pin->frets) - $string, $other->frets[$string] ?? 'x'), 'frets' => $moved];
            }
        }

        return null;
    }

    /** @return list<list<int|null>> grips with one string changed that sound the chord, the smallest change first */
    private function nearest(Breakdown $breakdown, VoicingLine $line, Pin $pin, FormChord $chord): array
    {
        $found = [];
        foreach ($pin->frets as $string => $fret) {
            if ($fret === null) {
                continue;
            }
            foreach ([...range(max(0, $fret - self::SLIP), min(15, $fret + self::SLIP)), null] as $other) {
                $frets = $pin->frets;
                $frets[$string] = $other;
                $frets = array_values($frets);
                $sounding = count(array_filter($frets, static fn (?int $each): bool => $each !== null));
                if ($other !== $fret && $sounding >= 2 && $this->sounds($breakdown, $line, $frets, $chord)) {
                    $found[] = ['frets' => $frets, 'change' => $other === null ? self::SLIP + 1 : abs($other - $fret)];
                }
            }
        }
        // A fret written on the string beside the right one.
        for ($string = 0; $string + 1 < count($pin->frets); $string++) {
            $frets = $pin->frets;
            [$frets[$string], $frets[$string + 1]] = [$frets[$string + 1], $frets[$string]];
            $frets = array_values($frets);
            if ($frets !== $pin->frets && $this->sounds($breakdown, $line, $frets, $chord)) {
                $found[] = ['frets' => $frets, 'change' => 1];
            }
        }
        usort($found, static fn (array $a, array $b): int => $a['change'] <=> $b['change']);

        return array_map(static fn (array $fix): array => $fix['frets'], array_slice($found, 0, self::MOST_FIXES));
    }

    /**
     * @param list<int|null> $frets
     *
     * @return list<ChordName>
     */
    private function names(Breakdown $breakdown, array $frets, FormChord $chord): array
    {
        return count(array_filter($frets, static fn (?int $fret): bool => $fret !== null)) < 2
            ? []
            : (new GripNamer($breakdown->neck, $breakdown->start->key, $chord->chord))->names($frets);
    }

    /** @param list<ChordName> $names */
    private static function isNamed(array $names, FormChord $chord): bool
    {
        return array_filter(
            $names,
            static fn (ChordName $name): bool => $name->chord->rootPitchClass() === $chord->chord->rootPitchClass()
                && $name->chord->ending === $chord->chord->ending,
        ) !== [];
    }

    /** @param list<int|null> $frets */
    private static function repinned(Breakdown $breakdown, VoicingLine $line, Pin $pin, array $frets): Breakdown
    {
        $pins = array_map(static fn (Pin $each): Pin => $each === $pin ? $pin->with(frets: $frets) : $each, $line->pins);

        return $breakdown->withLine($line->with(pins: $pins));
    }

    /**
     * Whether a grip is called by its chord's name and can be held.
     *
     * @param list<int|null> $frets
     */
    private function sounds(Breakdown $breakdown, VoicingLine $line, array $frets, FormChord $chord): bool
    {
        return self::isNamed($this->names($breakdown, $frets, $chord), $chord)
            && Toolbox::of($breakdown, $line)->finder()->voicing($chord->chord, $frets) !== null;
    }
}
