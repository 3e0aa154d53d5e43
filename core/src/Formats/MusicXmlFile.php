<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Chart\CourseBar;
use Gravik\Chart\CourseChord;
use Gravik\Formats\Internal\Score\BarHead;
use Gravik\Formats\Internal\Score\HarmonyXml;
use Gravik\Formats\Internal\Score\NoteXml;
use Gravik\Formats\Internal\Score\Repeats;
use Gravik\Formats\Internal\Score\ScoreBar;
use Gravik\Formats\Internal\Score\Sound;
use Gravik\Formats\Internal\Score\Sounds;
use Gravik\Performance\Timeline;
use XMLWriter;

/**
 * A performed breakdown as MusicXML 4.0: the guitar on a staff and its tab, the band below, in straight ticks with the swing
 * said beside them. The song stands as it is played, pass after pass; a section played several times in a row is written once.
 */
final readonly class MusicXmlFile
{
    /** @return list<string> what of this song it does not hold, in words */
    public static function notKept(Breakdown $breakdown): array
    {
        $feel = $breakdown->start->feel;
        $ratio = $feel->ratioAt($breakdown->start->tempo);
        $told = ! in_array(round($ratio, 3), [1.0, 2.0, 3.0], true);

        return array_values(array_filter([
            'strokes through air, and which picking school gives the directions',
            'lengths in shares of a slot: they are written as short notes',
            count($breakdown->passes) > 1
                ? count($breakdown->passes).' passes become one long form; their names stand over their first bars'
                : null,
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
        $bars = array_map(fn (BandPart $part): array => $this->bars($part, $breakdown, $timeline), $parts);
        $written = Repeats::of($timeline->course, $bars);
        foreach ($bars as $place => $ofPart) {
            $xml->startElement('part');
            $xml->writeAttribute('id', 'P'.($place + 1));
            foreach ($written as $number => $bar) {
                $here = $ofPart[$bar->bar];
                $xml->startElement('measure');
                $xml->writeAttribute('number', (string) ($number + 1));
                $bar->left($xml);
                $xml->writeRaw("\n".$here->settings.$here->marks.$here->music);
                $bar->right($xml);
                $xml->endElement();
            }
            $xml->endElement();
        }
        $xml->endElement();

        return $xml->outputMemory();
    }

    /** @return non-empty-list<BandPart> the student's guitar first */
    private static function inOrder(Breakdown $breakdown): array
    {
        $guitar = $breakdown->guitar();

        return [$guitar, ...array_values(array_filter($breakdown->parts, static fn (BandPart $part): bool => $part->id !== $guitar->id
            && ! ($part->instrument === Instrument::Lead && $part->tune === null)))];
    }

    /** @return list<ScoreBar> a part's bars, as they are played */
    private function bars(BandPart $part, Breakdown $breakdown, Timeline $timeline): array
    {
        $xml = new XMLWriter();
        $xml->openMemory();
        $xml->setIndent(true);
        $xml->setIndentString(' ');
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
        $at = array_fill(0, count($lines), 0);
        $head = new BarHead($xml, $breakdown, $timeline);
        $bars = [];
        foreach ($timeline->course->bars as $number => $bar) {
            $head->attributes($number, $bar, $part);
            if ($guitar) {
                $head->tempi($bar);
            }
            $settings = $xml->outputMemory();
            if ($guitar) {
                $head->marks($number, $bar);
            }
            $marks = $xml->outputMemory();
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
            $bars[] = new ScoreBar($settings, $marks, $xml->outputMemory());
        }

        return $bars;
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
}
