<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Score;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Chart\CourseBar;
use Gravik\Harmony\Mode;
use Gravik\Performance\Timeline;
use Gravik\Time\Stretch;
use Gravik\Time\SwingUnit;
use XMLWriter;

/**
 * Writes what stands at the head of a bar of a score: key, meter, staves, section, pass, tempo and swing.
 *
 * @internal used by MusicXmlFile
 */
final readonly class BarHead
{
    private const DIVISIONS = 960;

    public function __construct(private XMLWriter $xml, private Breakdown $breakdown, private Timeline $timeline) {}

    /** Key, meter and staves, where they are not those of the bar before. */
    public function attributes(int $number, CourseBar $bar, BandPart $part): void
    {
        $xml = $this->xml;
        $before = $this->timeline->course->bars[$number - 1] ?? null;
        $setting = $this->timeline->course->visits[$bar->visit]->setting;
        $key = $before === null || $this->timeline->course->visits[$before->visit]->setting->key->text() !== $setting->key->text();
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
            $this->staves($part);
        }
        $xml->endElement();
    }

    /** The tempo, and the swing that is played, where they are not those of the bar before. */
    public function tempi(CourseBar $bar): void
    {
        foreach ($this->timeline->map->stretches as $stretch) {
            if ($stretch->tick === $bar->tick) {
                $this->tempo($stretch);
            }
        }
    }

    /** Sections and passes as rehearsal marks and words. */
    public function marks(int $number, CourseBar $bar): void
    {
        $visit = $this->timeline->course->visits[$bar->visit];
        if ($bar->inVisit === 0) {
            $this->words('rehearsal', $visit->section->name);
            $place = array_search($visit->pass, array_column($this->breakdown->passes, 'id'), true);
            $before = $this->timeline->course->bars[$number - 1] ?? null;
            $first = $before === null || $this->timeline->course->visits[$before->visit]->pass !== $visit->pass;
            if ($first && count($this->breakdown->passes) > 1 && $place !== false) {
                $pass = $this->breakdown->passes[$place];
                $this->words('words', trim(sprintf('pass %d %s', $place + 1, $pass->name)));
            }
        }
    }

    private function staves(BandPart $part): void
    {
        $xml = $this->xml;
        $guitar = $part->id === $this->breakdown->guitar()->id;
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
        $neck = $this->breakdown->neck;
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

    private function tempo(Stretch $stretch): void
    {
        $xml = $this->xml;
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

    private function words(string $element, string $text): void
    {
        $xml = $this->xml;
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
