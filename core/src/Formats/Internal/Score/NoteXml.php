<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Score;

use Gravik\Performance\PlayedStroke;
use Gravik\Pitch\NoteName;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Contact;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use XMLWriter;

/**
 * The notes of one sound on one staff, cut where a note value or a bar ends and tied over.
 *
 * @internal used by MusicXmlFile
 */
final readonly class NoteXml
{
    /** Per cent of forte, at which a soft stroke is played. */
    private const SOFT = 55;

    private const BENDS = [OrnamentKind::Bend, OrnamentKind::BendRelease, OrnamentKind::Bent, OrnamentKind::Release];

    public function __construct(
        private XMLWriter $xml,
        private int $staff,
        private int $voice,
        private bool $tab,
        private bool $drums = false,
    ) {}

    public function rest(int $ticks): void
    {
        foreach (NoteValue::split($ticks) as $value) {
            $this->xml->startElement('note');
            $this->xml->writeElement('rest');
            $this->xml->writeElement('duration', (string) $value->ticks);
            $this->value($value);
            $this->xml->endElement();
        }
    }

    /**
     * @param int  $ticks how much of it lies in this bar
     * @param bool $begun whether it began in a bar before
     * @param bool $goes  whether it goes on in the next
     */
    public function sound(Sound $sound, int $ticks, bool $begun, bool $goes): void
    {
        if ($sound->dead && $begun) {
            $this->rest($ticks);

            return;
        }
        $values = NoteValue::split($ticks);
        foreach ($values as $place => $value) {
            // What is dead is over at once: the rest of its time is silent.
            if ($sound->dead && $place > 0) {
                $this->rest(array_sum(array_map(static fn (NoteValue $each): int => $each->ticks, array_slice($values, $place))));

                return;
            }
            $tiedBack = $begun || $place > 0;
            $tiedOn = $goes || $place < count($values) - 1;
            $ornament = $tiedBack ? null : self::graceOf($sound->stroke);
            if ($ornament !== null) {
                $this->notes($sound, null, false, false, $ornament);
            }
            $this->notes($sound, $value, $tiedBack && ! $sound->dead, $tiedOn && ! $sound->dead, $ornament);
        }
    }

    private function notes(Sound $sound, ?NoteValue $value, bool $tiedBack, bool $tiedOn, ?Ornament $ornament): void
    {
        foreach ($sound->notes as $place => $note) {
            $xml = $this->xml;
            $frets = $value === null && $ornament !== null ? $ornament->frets : 0;
            $xml->startElement('note');
            if ($sound->stroke?->stroke->accent === 0) {
                $xml->writeAttribute('dynamics', (string) self::SOFT);
            }
            if ($value === null) {
                $xml->writeElement('grace');
            }
            if ($place > 0) {
                $xml->writeElement('chord');
            }
            $this->pitch($note['midi'] + $frets, $frets === 0 ? $note['name'] : null);
            if ($value !== null) {
                $xml->writeElement('duration', (string) $value->ticks);
                $this->ties('tie', $tiedBack, $tiedOn);
            }
            $this->value($value, $sound);
            $this->notations($sound, $note, $place === 0, $tiedBack, $tiedOn, $value === null, $ornament, $frets);
            if ($sound->stroke?->stroke->articulation === Articulation::PalmMute && ! $tiedBack && $value !== null) {
                $xml->startElement('play');
                $xml->writeElement('mute', 'palm');
                $xml->endElement();
            }
            $xml->endElement();
        }
    }

    private function pitch(int $midi, ?NoteName $name): void
    {
        if ($this->drums) {
            [$step, $octave] = DrumStaff::of($midi);
            $this->xml->startElement('unpitched');
            $this->xml->writeElement('display-step', $step);
            $this->xml->writeElement('display-octave', (string) $octave);
            $this->xml->endElement();

            return;
        }
        $name ??= NoteName::plain($midi % 12, true);
        $this->xml->startElement('pitch');
        $this->xml->writeElement('step', 'CDEFGAB'[$name->letter]);
        if ($name->alter !== 0) {
            $this->xml->writeElement('alter', (string) $name->alter);
        }
        $this->xml->writeElement('octave', (string) (intdiv($midi - $name->alter, 12) - 1));
        $this->xml->endElement();
    }

    private function value(?NoteValue $value, ?Sound $sound = null): void
    {
        $xml = $this->xml;
        $xml->writeElement('voice', (string) $this->voice);
        $xml->writeElement('type', $value->name ?? '16th');
        for ($dot = 0; $dot < ($value->dots ?? 0); $dot++) {
            $xml->writeElement('dot');
        }
        if ($value?->triplet === true) {
            $xml->startElement('time-modification');
            $xml->writeElement('actual-notes', '3');
            $xml->writeElement('normal-notes', '2');
            $xml->endElement();
        }
        $head = match (true) {
            $sound === null, $this->drums => null,
            $sound->dead => ['x', false],
            $sound->stroke?->stroke->articulation === Articulation::Ghost => ['normal', true],
            default => null,
        };
        if ($head !== null) {
            $xml->startElement('notehead');
            if ($head[1]) {
                $xml->writeAttribute('parentheses', 'yes');
            }
            $xml->text($head[0]);
            $xml->endElement();
        }
        $xml->writeElement('staff', (string) $this->staff);
    }

    private function ties(string $element, bool $back, bool $on): void
    {
        foreach (['stop' => $back, 'start' => $on] as $type => $is) {
            if ($is) {
                $this->xml->startElement($element);
                $this->xml->writeAttribute('type', $type);
                $this->xml->endElement();
            }
        }
    }

    /** @param array{string: ?int, fret: ?int} $note */
    private function notations(
        Sound $sound,
        array $note,
        bool $first,
        bool $back,
        bool $on,
        bool $grace,
        ?Ornament $ornament,
        int $frets,
    ): void {
        $xml = $this->xml;
        $stroke = $sound->stroke;
        $fresh = ! $back && ! $grace;
        $marks = $fresh && $first && ! $this->tab ? self::articulations($sound) : [];
        $slide = $ornament !== null && ! $back && in_array($ornament->kind, [OrnamentKind::SlideIn, OrnamentKind::Grace], true);
        $technical = $this->technical($note, $fresh && $first ? $stroke : null, $ornament, $grace, $back, $frets);
        $spread = ! $this->tab && $fresh && $stroke !== null && count($sound->notes) > 1 && $stroke->stroke->contact() === Contact::Across;
        if (! $back && ! $on && $marks === [] && $technical === [] && ! $slide && ! $spread) {
            return;
        }
        $xml->startElement('notations');
        $this->ties('tied', $back, $on);
        if ($slide) {
            $xml->startElement('slide');
            $xml->writeAttribute('type', $grace ? 'start' : 'stop');
            $xml->endElement();
        }
        if ($technical !== []) {
            $xml->startElement('technical');
            foreach ($technical as [$name, $text, $type]) {
                $xml->startElement($name);
                if ($type !== null) {
                    $xml->writeAttribute('type', $type);
                }
                if ($name === 'bend') {
                    $xml->writeElement('bend-alter', (string) $text);
                } elseif ($text !== null) {
                    $xml->text($text);
                }
                $xml->endElement();
            }
            $xml->endElement();
        }
        if ($marks !== []) {
            $xml->startElement('articulations');
            array_map($xml->writeElement(...), $marks);
            $xml->endElement();
        }
        if ($spread) {
            $xml->startElement('arpeggiate');
            $xml->writeAttribute('direction', $stroke->stroke->direction === Direction::Up ? 'down' : 'up');
            $xml->endElement();
        }
        $xml->endElement();
    }

    /**
     * @param array{string: ?int, fret: ?int} $note
     *
     * @return list<array{string, ?string, ?string}> element, text, type
     */
    private function technical(array $note, ?PlayedStroke $stroke, ?Ornament $ornament, bool $grace, bool $back, int $frets): array
    {
        $technical = [];
        if ($stroke?->stroke->direction !== null) {
            $technical[] = [$stroke->stroke->direction === Direction::Down ? 'down-bow' : 'up-bow', null, null];
        }
        if ($this->tab && $note['string'] !== null) {
            $technical[] = ['string', (string) $note['string'], null];
            $technical[] = ['fret', (string) max(0, (int) $note['fret'] + $frets), null];
        }
        $slur = $ornament === null || $back ? null : match ($ornament->kind) {
            OrnamentKind::HammerOn => ['hammer-on', 'H'],
            OrnamentKind::PullOff => ['pull-off', 'P'],
            default => null,
        };
        if ($slur !== null) {
            $technical[] = [$slur[0], $slur[1], $grace ? 'start' : 'stop'];
        }
        $bent = $stroke === null ? null : self::ornamentOf($stroke);
        if ($bent !== null && in_array($bent->kind, self::BENDS, true)) {
            $technical[] = ['bend', (string) $bent->frets, null];
        }

        return $technical;
    }

    /** @return list<string> */
    private static function articulations(Sound $sound): array
    {
        $accent = $sound->stroke->stroke->accent ?? 1;
        $ornament = $sound->stroke?->stroke->ornament;

        return [
            ...$accent === 3 ? ['strong-accent'] : ($accent === 2 ? ['accent'] : []),
            ...$sound->short ? ['staccato'] : [],
            ...$ornament?->kind === OrnamentKind::SlideOut ? [$ornament->frets < 0 ? 'falloff' : 'doit'] : [],
        ];
    }

    /** What is written as a small note before its note. */
    private static function graceOf(?PlayedStroke $stroke): ?Ornament
    {
        $ornament = $stroke === null || $stroke->stroke->isDead() ? null : self::ornamentOf($stroke);

        return $ornament !== null && $ornament->frets !== 0
            && in_array($ornament->kind, [OrnamentKind::SlideIn, OrnamentKind::Grace, OrnamentKind::HammerOn, OrnamentKind::PullOff], true)
            ? $ornament
            : null;
    }

    /** Its own, else that of a string of it. */
    private static function ornamentOf(PlayedStroke $stroke): ?Ornament
    {
        return $stroke->stroke->ornament ?? array_values($stroke->ornaments)[0] ?? null;
    }
}
