<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Score;

use Gravik\Performance\PlayedStroke;
use Gravik\Pitch\NoteName;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Contact;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Ornament;
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
            if (! $tiedBack) {
                $this->graces($sound);
            }
            $this->notes($sound, $value, $tiedBack && ! $sound->dead, $tiedOn && ! $sound->dead);
        }
    }

    /** The small notes that some of its notes are come to from. */
    private function graces(Sound $sound): void
    {
        $graced = array_values(array_filter($sound->notes, static fn (array $note): bool => OrnamentXml::hasGrace($note['ornament'])));
        foreach ($graced as $place => $note) {
            $xml = $this->xml;
            $frets = $note['ornament']->frets ?? 0;
            $xml->startElement('note');
            $xml->writeElement('grace');
            if ($place > 0) {
                $xml->writeElement('chord');
            }
            $this->pitch($note['midi'] + $frets, null);
            $this->value(null);
            $technical = [...$this->placed($note, $frets), ...OrnamentXml::technical($note['ornament'], true)];
            if ($technical !== [] || OrnamentXml::slides($note['ornament'])) {
                $xml->startElement('notations');
                OrnamentXml::write($xml, $note['ornament'], $technical, 'start');
                $xml->endElement();
            }
            $xml->endElement();
        }
    }

    private function notes(Sound $sound, NoteValue $value, bool $tiedBack, bool $tiedOn): void
    {
        foreach ($sound->notes as $place => $note) {
            $xml = $this->xml;
            $xml->startElement('note');
            if ($sound->stroke?->stroke->accent === 0) {
                $xml->writeAttribute('dynamics', (string) self::SOFT);
            }
            if ($place > 0) {
                $xml->writeElement('chord');
            }
            $this->pitch($note['midi'], $note['name']);
            $xml->writeElement('duration', (string) $value->ticks);
            $this->ties('tie', $tiedBack, $tiedOn);
            $this->value($value, $sound);
            $this->notations($sound, $note, $place === 0, $tiedBack, $tiedOn);
            if ($sound->stroke?->stroke->articulation === Articulation::PalmMute && ! $tiedBack) {
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

    /** @param array{string: ?int, fret: ?int, ornament: ?Ornament} $note */
    private function notations(Sound $sound, array $note, bool $first, bool $back, bool $on): void
    {
        $xml = $this->xml;
        $stroke = $sound->stroke;
        $ornament = $back ? null : $note['ornament'];
        $marks = ! $back && ! $this->tab ? [...$first ? self::articulations($sound) : [], ...OrnamentXml::articulations($ornament)] : [];
        $technical = [
            ...$back || ! $first ? [] : self::direction($stroke),
            ...$this->placed($note, 0),
            ...OrnamentXml::technical($ornament, false),
        ];
        $spread = ! $this->tab && ! $back && $first && $stroke !== null && count($sound->notes) > 1
            && $stroke->stroke->contact() === Contact::Across;
        if (! $back && ! $on && $marks === [] && $technical === [] && $ornament === null && ! $spread) {
            return;
        }
        $xml->startElement('notations');
        $this->ties('tied', $back, $on);
        OrnamentXml::write($xml, $ornament, $technical, 'stop');
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

    /** @return list<array{string, ?string, ?string}> element, text, type */
    private static function direction(?PlayedStroke $stroke): array
    {
        return $stroke?->stroke->direction === null
            ? []
            : [[$stroke->stroke->direction === Direction::Down ? 'down-bow' : 'up-bow', null, null]];
    }

    /**
     * @param array{string: ?int, fret: ?int} $note
     *
     * @return list<array{string, ?string, ?string}> element, text, type
     */
    private function placed(array $note, int $frets): array
    {
        return $this->tab && $note['string'] !== null
            ? [['string', (string) $note['string'], null], ['fret', (string) max(0, (int) $note['fret'] + $frets), null]]
            : [];
    }

    /** @return list<string> */
    private static function articulations(Sound $sound): array
    {
        $accent = $sound->stroke->stroke->accent ?? 1;

        return [...$accent === 3 ? ['strong-accent'] : ($accent === 2 ? ['accent'] : []), ...$sound->short ? ['staccato'] : []];
    }
}
