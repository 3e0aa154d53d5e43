<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Chart\CourseBar;
use Gravik\Chart\CourseChord;
use Gravik\Formats\Internal\Score\HarmonyXml;
use Gravik\Formats\Internal\Score\NoteXml;
use Gravik\Formats\Internal\Score\Sound;
use Gravik\Formats\Internal\Score\Sounds;
use Gravik\Harmony\Mode;
use Gravik\Performance\Timeline;
use Gravik\Time\Stretch;
use Gravik\Time\SwingUnit;
use XMLWriter;
use ZipArchive;

/**
 * A performed breakdown as MusicXML 4.0: the guitar on a staff and its tab, the band below, in straight ticks with the swing
 * said beside them. The song stands as it is played, pass after pass.
 */
final readonly class MusicXmlFile
{
    private const DIVISIONS = 960;

    /** @return list<string> what of this song it does not hold, in words */
    public static function notKept(Breakdown $breakdown): array
    {
        $feel = $breakdown->start->feel;
        $ratio = $feel->ratioAt($breakdown->start->tempo);
        $told = ! in_array(round($ratio, 3), [1.0, 2.0, 3.0], true);

        return array_values(array_filter([
            'strokes through air, and which picking school gives the directions',
            'lengths in shares of a slot: they are written as short notes',
            count($breakdown->passes) > 1 ? count($breakdown->passes).' passes become one long form; their names stand over their first bars' : null,
            $told ? sprintf('a swing of %.2f to 1 is written as such, and many programs know 2 to 1 only', $ratio) : null,
            $breakdown->lesson === [] ? null : 'the lesson, its stages and gates',
            $breakdown->marks === [] ? null : 'marks of what is unsure or may be either way',
            'places in milliseconds ahead of or behind the beat, and the mix of the band',
        ]));
    }

    public function write(Breakdown $breakdown, Timeline $timeline): string
    {
        $xml = new XMLWriter();
        $xml->openMemory();
        $xml->setIndent(true);
        $xml->setIndentString(' ');
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElement('score-partwise');
        $xml->writeAttribute('version', '4.0');
        $xml->startElement('work');
        $xml->writeElement('work-title', $breakdown->title);
        $xml->endElement();
        $xml->startElement('identification');
        $xml->startElement('encoding');
        $xml->writeElement('software', 'Gravik');
        $xml->endElement();
        $xml->endElement();
        $parts = self::inOrder($breakdown);
        $xml->startElement('part-list');
        foreach ($parts as $place => $part) {
            $xml->startElement('score-part');
            $xml->writeAttribute('id', 'P'.($place + 1));
            $xml->writeElement('part-name', ucfirst($part->instrument->words()));
            $xml->endElement();
        }
        $xml->endElement();
        foreach ($parts as $place => $part) {
            $this->part($xml, 'P'.($place + 1), $part, $breakdown, $timeline);
        }
        $xml->endElement();

        return $xml->outputMemory();
    }

    /** The same packed, as programs exchange it. */
    public function pack(string $score): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'gravik-mxl');
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::OVERWRITE);
        $zip->addFromString('mimetype', 'application/vnd.recordare.musicxml');
        $zip->setCompressionName('mimetype', ZipArchive::CM_STORE);
        $zip->addFromString('META-INF/container.xml', '<?xml version="1.0" encoding="UTF-8"?>'."\n"
            .'<container><rootfiles><rootfile full-path="score.musicxml" media-type="application/vnd.recordare.musicxml+xml"/></rootfiles></container>'."\n");
        $zip->addFromString('score.musicxml', $score);
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

    /** @return non-empty-list<BandPart> the student's guitar first */
    private static function inOrder(Breakdown $breakdown): array
    {
        $guitar = $breakdown->guitar();

        return [$guitar, ...array_values(array_filter($breakdown->parts, static fn (BandPart $part): bool => $part->id !== $guitar->id
            && ! ($part->instrument === Instrument::Lead && $part->tune === null)))];
    }

    private function part(XMLWriter $xml, string $id, BandPart $part, Breakdown $breakdown, Timeline $timeline): void
    {
        $guitar = $part->id === $breakdown->guitar()->id;
        $lines = $guitar ? Sounds::ofGuitar($timeline) : [Sounds::ofPart($part, $breakdown, $timeline)];
        $drums = $part->instrument === Instrument::Drums;
        // Of two lines each is a voice of its own, on both staves.
        $voices = [];
        foreach ($guitar ? [[1, false], [2, true]] : [[1, false]] as [$staff, $tab]) {
            foreach (array_keys($lines) as $line) {
                $voices[] = [$line, new NoteXml($xml, $staff, 4 * $staff - 3 + $line, $tab, $drums)];
            }
        }
        $xml->startElement('part');
        $xml->writeAttribute('id', $id);
        $at = array_fill(0, count($lines), 0);
        foreach ($timeline->course->bars as $number => $bar) {
            $xml->startElement('measure');
            $xml->writeAttribute('number', (string) ($number + 1));
            $this->attributes($xml, $number, $bar, $part, $guitar, $breakdown, $timeline);
            if ($guitar) {
                $this->directions($xml, $number, $bar, $breakdown, $timeline);
            }
            foreach ($lines as $line => $sounds) {
                while (isset($sounds[$at[$line]]) && $sounds[$at[$line]]->until <= $bar->tick) {
                    $at[$line]++;
                }
            }
            foreach ($voices as $place => [$line, $voice]) {
                if ($place > 0) {
                    $xml->startElement('backup');
                    $xml->writeElement('duration', (string) $bar->meter->barTicks());
                    $xml->endElement();
                }
                $this->bar($xml, $voice, $bar, $lines[$line], $at[$line], $guitar && $place === 0 ? $timeline : null);
            }
            $xml->endElement();
        }
        $xml->endElement();
    }

    /**
     * @param list<Sound> $sounds
     * @param int         $at        of the first that is not over yet
     * @param ?Timeline   $harmonies whose chords are written over the bar
     */
    private function bar(XMLWriter $xml, NoteXml $staff, CourseBar $bar, array $sounds, int $at, ?Timeline $harmonies): void
    {
        $here = $bar->tick;
        $chords = $harmonies === null ? [] : array_values(array_filter(
            $harmonies->course->chords,
            static fn (CourseChord $chord): bool => $chord->tick >= $bar->tick && $chord->tick < $bar->until(),
        ));
        // A chord that comes while something sounds is written before it, with how much later it comes.
        $over = static function (int $tick, int $here) use (&$chords, $xml, $harmonies): void {
            while ($chords !== [] && $chords[0]->tick <= $tick) {
                $chord = array_shift($chords);
                $grip = $harmonies === null ? null : (array_values($harmonies->voiced)[0]->path->voicings[$chord->written] ?? null);
                HarmonyXml::write($xml, $chord->chord, $grip, max(0, $chord->tick - $here));
            }
        };
        for (; isset($sounds[$at]) && $sounds[$at]->from < $bar->until(); $at++) {
            $sound = $sounds[$at];
            $from = max($sound->from, $bar->tick);
            $until = min($sound->until, $bar->until());
            foreach (self::cuts($chords, $here, $from) as $cut) {
                $over($here, $here);
                $staff->rest($cut - $here);
                $here = $cut;
            }
            $over($until - 1, $here);
            $staff->sound($sound, $until - $from, $sound->from < $bar->tick, $sound->until > $bar->until());
            $here = $until;
        }
        foreach (self::cuts($chords, $here, $bar->until()) as $cut) {
            $over($here, $here);
            $staff->rest($cut - $here);
            $here = $cut;
        }
        $over($bar->until(), $here);
    }

    /**
     * A rest is cut where a chord is written over it.
     *
     * @param list<CourseChord> $chords
     *
     * @return list<int> ticks after $here, the last of them $until
     */
    private static function cuts(array $chords, int $here, int $until): array
    {
        $cuts = array_filter(
            array_map(static fn (CourseChord $chord): int => $chord->tick, $chords),
            static fn (int $tick): bool => $tick > $here && $tick < $until,
        );

        return $until <= $here ? [] : [...array_values($cuts), $until];
    }

    private function attributes(XMLWriter $xml, int $number, CourseBar $bar, BandPart $part, bool $guitar, Breakdown $breakdown, Timeline $timeline): void
    {
        $before = $timeline->course->bars[$number - 1] ?? null;
        $setting = $timeline->course->visits[$bar->visit]->setting;
        $key = $before === null || $timeline->course->visits[$before->visit]->setting->key->text() !== $setting->key->text();
        $meter = $before === null || ! $before->meter->equals($bar->meter);
        if (! $key && ! $meter) {
            return;
        }
        $xml->startElement('attributes');
        if ($before === null) {
            $xml->writeElement('divisions', (string) self::DIVISIONS);
        }
        if ($key) {
            $xml->startElement('key');
            $xml->writeElement('fifths', (string) $setting->key->signature());
            $xml->writeElement('mode', $setting->key->mode === Mode::Minor ? 'minor' : 'major');
            $xml->endElement();
        }
        if ($meter) {
            [$beats, $type] = explode('/', $bar->meter->text());
            $xml->startElement('time');
            $xml->writeElement('beats', $beats);
            $xml->writeElement('beat-type', $type);
            $xml->endElement();
        }
        if ($before === null) {
            $this->staves($xml, $part, $guitar, $breakdown);
        }
        $xml->endElement();
    }

    private function staves(XMLWriter $xml, BandPart $part, bool $guitar, Breakdown $breakdown): void
    {
        if ($guitar) {
            $xml->writeElement('staves', '2');
        }
        $clefs = match (true) {
            $guitar => [['G', 2, -1], ['TAB', 5, 0]],
            $part->instrument === Instrument::Drums => [['percussion', 2, 0]],
            $part->instrument === Instrument::Bass => [['F', 4, 0]],
            default => [['G', 2, 0]],
        };
        foreach ($clefs as $place => [$sign, $line, $octave]) {
            $xml->startElement('clef');
            if ($guitar) {
                $xml->writeAttribute('number', (string) ($place + 1));
            }
            $xml->writeElement('sign', $sign);
            $xml->writeElement('line', (string) $line);
            if ($octave !== 0) {
                $xml->writeElement('clef-octave-change', (string) $octave);
            }
            $xml->endElement();
        }
        if (! $guitar) {
            return;
        }
        $xml->startElement('staff-details');
        $xml->writeAttribute('number', '2');
        $neck = $breakdown->neck;
        $xml->writeElement('staff-lines', (string) $neck->tuning->strings());
        foreach ($neck->tuning->pitches as $line => $pitch) {
            $xml->startElement('staff-tuning');
            $xml->writeAttribute('line', (string) ($line + 1));
            HarmonyXml::step($xml, 'tuning', $pitch->name);
            $xml->writeElement('tuning-octave', (string) $pitch->octave);
            $xml->endElement();
        }
        if ($neck->capo > 0) {
            $xml->writeElement('capo', (string) $neck->capo);
        }
        $xml->endElement();
    }

    /** Sections and passes as rehearsal marks and words, tempo with the swing that is played. */
    private function directions(XMLWriter $xml, int $number, CourseBar $bar, Breakdown $breakdown, Timeline $timeline): void
    {
        $visit = $timeline->course->visits[$bar->visit];
        if ($bar->inVisit === 0) {
            $this->words($xml, 'rehearsal', $visit->section->name);
            $place = array_search($visit->pass, array_column($breakdown->passes, 'id'), true);
            $before = $timeline->course->bars[$number - 1] ?? null;
            $first = $before === null || $timeline->course->visits[$before->visit]->pass !== $visit->pass;
            if ($first && count($breakdown->passes) > 1 && $place !== false) {
                $pass = $breakdown->passes[$place];
                $this->words($xml, 'words', trim(sprintf('pass %d %s', $place + 1, $pass->name)));
            }
        }
        foreach ($timeline->map->stretches as $stretch) {
            if ($stretch->tick === $bar->tick) {
                $this->tempo($xml, $stretch);
            }
        }
    }

    private function tempo(XMLWriter $xml, Stretch $stretch): void
    {
        $ruler = $stretch->ruler;
        $xml->startElement('direction');
        $xml->writeAttribute('placement', 'above');
        $xml->startElement('direction-type');
        $xml->startElement('metronome');
        $xml->writeElement('beat-unit', 'quarter');
        if ($ruler->meter->isCompound()) {
            $xml->writeElement('beat-unit-dot');
        }
        $xml->writeElement('per-minute', (string) round($ruler->tempo->bpm, 2));
        $xml->endElement();
        $xml->endElement();
        $xml->endElement();
        $xml->startElement('sound');
        $xml->writeAttribute('tempo', (string) round($ruler->tempo->bpm * $ruler->meter->quartersPerBeat(), 3));
        if ($ruler->swings()) {
            [$long, $short] = self::whole($ruler->ratio);
            $xml->startElement('swing');
            $xml->writeElement('first', (string) $long);
            $xml->writeElement('second', (string) $short);
            $xml->writeElement('swing-type', $ruler->unit === SwingUnit::Sixteenth ? '16th' : 'eighth');
            $xml->endElement();
        }
        $xml->endElement();
    }

    private function words(XMLWriter $xml, string $element, string $text): void
    {
        $xml->startElement('direction');
        $xml->writeAttribute('placement', 'above');
        $xml->startElement('direction-type');
        $xml->writeElement($element, $text);
        $xml->endElement();
        $xml->endElement();
    }

    /** @return array{int, int} the ratio in the smallest whole numbers, to a hundredth */
    private static function whole(float $ratio): array
    {
        [$long, $short] = [(int) round(100 * $ratio), 100];
        [$a, $b] = [$long, $short];
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return [intdiv($long, $a), intdiv($short, $a)];
    }
}
