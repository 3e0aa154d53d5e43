<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Chart\Form;
use Gravik\CoreException;
use Gravik\Neck\Tuning;
use Gravik\Time\Feel;
use Gravik\Time\FeelMode;
use Gravik\Time\Meter;
use Gravik\Time\SwingUnit;
use SimpleXMLElement;
use XMLReader;

/**
 * Reads a score bar by bar: the chords of one part, the strokes of another.
 *
 * @internal used by ScoreDraft
 */
final class ScoreBars
{
    private const TICKS = 960;

    private const MOST_PLAYED = 2000;

    private const MOST_UNREAD = 40;

    private const JUMPS = ['dacapo' => 'D.C.', 'dalsegno' => 'D.S.', 'tocoda' => 'To coda', 'fine' => 'Fine'];

    /** @var list<DraftBar> */
    public array $bars = [];

    public ?string $key = null;

    public ?float $tempo = null;

    public ?Feel $feel = null;

    public ?Tuning $tuning = null;

    public int $capo = 0;

    /** @var list<string> */
    public array $unread = [];

    private int $divisions = 1;

    private Meter $meter;

    /** @var array<int, list<array{int, string}>> chords by bar, of the part that has them */
    private array $chords = [];

    /** @var array<int, string> section marks by bar */
    private array $sections = [];

    /** how many strokes are slid, hammered, pulled or bent and are read without */
    private int $moved = 0;

    /** whether there is anything of the kind in the bar that is read: most have nothing, and looking for it takes time */
    private bool $barMoves = false;

    private readonly ScoreOddities $oddities;

    private function __construct()
    {
        $this->oddities = new ScoreOddities();
        $this->meter = Meter::parse('4/4');
    }

    public static function read(string $xml, string $guitar, ?string $harmony): self
    {
        $bars = new self();
        if ($harmony !== null && $harmony !== $guitar) {
            $bars->each($xml, $harmony, static fn (SimpleXMLElement $measure, int $number) => $bars->overBar($measure, $number));
            $bars->divisions = 1;
            $bars->meter = Meter::parse('4/4');
        }
        $repeats = new ScoreRepeats();
        $bars->each($xml, $guitar, static function (SimpleXMLElement $measure, int $number) use ($bars, $repeats, $harmony, $guitar): void {
            $bars->bar($measure, $number, $harmony === $guitar);
            $repeats->read($measure, $number);
        });
        foreach ($repeats->neverPlayed($bars->bars) as $bar) {
            $bars->unread[] = sprintf('bar %d: no way through the repeats comes to it', $bar + 1);
        }
        $bars->bars = $repeats->unfolded($bars->bars, self::MOST_PLAYED);
        array_push($bars->unread, ...$bars->oddities->words());
        if ($bars->moved > 0) {
            $bars->unread[] = "slides, hammers and bends: {$bars->moved} strokes are read without";
        }
        if (count($bars->unread) > self::MOST_UNREAD) {
            $more = count($bars->unread) - self::MOST_UNREAD;
            $bars->unread = [...array_slice($bars->unread, 0, self::MOST_UNREAD), "{$more} more of the kind"];
        }

        return $bars;
    }

    /** @param callable(SimpleXMLElement, int): void $look */
    private function each(string $xml, string $part, callable $look): void
    {
        $reader = ScoreParts::open($xml);
        $number = 0;
        $here = false;
        $more = $reader->read();
        while ($more) {
            $element = $reader->nodeType === XMLReader::ELEMENT ? $reader->localName : '';
            if ($element === 'part') {
                $here = $reader->getAttribute('id') === $part;
            }
            if ($element !== 'measure') {
                $more = $reader->read();

                continue;
            }
            $written = $here && $number < Form::MOST_BARS ? $reader->readOuterXml() : '';
            $this->barMoves = preg_match('/<(?:grace|slide|glissando|hammer-on|pull-off|bend|falloff|doit|wavy-line)\b/', $written) === 1;
            $measure = $written === '' ? false : simplexml_load_string($written, SimpleXMLElement::class, LIBXML_NONET);
            if ($measure !== false) {
                $look($measure, $number);
            }
            $number += $here ? 1 : 0;
            $more = $reader->next();
        }
        ScoreParts::complain($reader);
        if ($number > Form::MOST_BARS) {
            $this->unread[] = sprintf('bars %d to %d: a written song has at most %d bars', Form::MOST_BARS + 1, $number, Form::MOST_BARS);
        }
    }

    private function overBar(SimpleXMLElement $measure, int $number): void
    {
        $at = 0;
        foreach ($measure->children() as $name => $element) {
            $at = $this->onward($at, $name, $element, $number);
            if ($name === 'harmony') {
                $this->harmony($element, $at, $number);
            }
        }
    }

    private function bar(SimpleXMLElement $measure, int $number, bool $hasChords): void
    {
        $at = $last = 0;
        $groups = $voices = [];
        foreach ($measure->children() as $name => $element) {
            if ($name === 'harmony' && $hasChords) {
                $this->harmony($element, $at, $number);
            }
            if ($name === 'direction') {
                $this->direction($element, $number);
            }
            if ($name === 'sound') {
                $this->sound($element, $number);
            }
            if ($name === 'note') {
                $begins = isset($element->chord) && ! isset($element->grace) ? $last : $at;
                $tied = ScoreWords::all($element, 'tie[@type="stop"]') !== [];
                if (! $tied && ! isset($element->rest) && $this->oddities->allow($element, $number)) {
                    $voices[(string) $element->staff][(string) $element->voice] = true;
                    $groups[$begins][(string) $element->staff][(string) $element->voice][] = $element;
                }
                $last = $begins;
            }
            $at = $this->onward($at, $name, $element, $number);
        }
        ksort($groups);
        $this->oddities->look($voices, $number);
        $strokes = [];
        foreach ($groups as $tick => $staves) {
            if ($tick < $this->meter->barTicks()) {
                $struck = ScoreStroke::of($tick, $staves, $voices, $this->barMoves);
                array_push($strokes, ...$struck);
                if (! $this->barMoves) {
                    continue;
                }
                $read = array_filter($struck, static fn (DraftStroke $stroke): bool => $stroke->moves !== []) !== [];
                $notes = [];
                foreach ($staves as $byVoice) {
                    array_push($notes, ...array_merge(...array_values($byVoice)));
                }
                $this->moved += ! $read && ScoreMoves::areTold($notes) ? 1 : 0;
            }
        }
        $chords = $this->chords[$number] ?? [];
        usort($chords, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $this->bars[] = new DraftBar($this->meter, $chords, $strokes, $this->sections[$number] ?? null);
    }

    /** Where the next element lies, in ticks from the bar line. */
    private function onward(int $at, string $name, SimpleXMLElement $element, int $number): int
    {
        if ($name === 'attributes') {
            $this->attributes($element, $number);
        }
        $ticks = isset($element->duration) ? (int) round((float) $element->duration * self::TICKS / $this->divisions) : 0;

        return match (true) {
            $name === 'backup' => max(0, $at - $ticks),
            $name === 'forward' => $at + $ticks,
            $name === 'note' && ! isset($element->chord) && ! isset($element->grace) => $at + $ticks,
            default => $at,
        };
    }

    private function attributes(SimpleXMLElement $attributes, int $number): void
    {
        if (isset($attributes->divisions) && (int) $attributes->divisions > 0) {
            $this->divisions = (int) $attributes->divisions;
        }
        if (isset($attributes->time->beats)) {
            $told = "{$attributes->time->beats}/{$attributes->time->{'beat-type'}}";

            try {
                $this->meter = Meter::parse($told);
            } catch (CoreException) {
                $this->unread[] = sprintf('the meter %s in bar %d: %s goes on', mb_substr($told, 0, 12), $number + 1, $this->meter->text());
            }
        }
        if (isset($attributes->key->fifths) && $this->key === null) {
            $this->key = ScoreWords::key((int) $attributes->key->fifths, (string) $attributes->key->mode === 'minor');
        }
        foreach ($attributes->{'staff-details'} ?? [] as $details) {
            $this->strings($details);
        }
    }

    private function strings(SimpleXMLElement $details): void
    {
        $pitches = [];
        foreach ($details->{'staff-tuning'} ?? [] as $string) {
            $pitches[(int) $string['line']] = ScoreWords::note((string) $string->{'tuning-step'}, (int) $string->{'tuning-alter'})
                .(string) $string->{'tuning-octave'};
        }
        ksort($pitches);

        try {
            $tuning = $pitches === [] ? null : Tuning::parse(implode(',', $pitches));
            $this->tuning = $tuning === null ? $this->tuning : self::known($tuning);
        } catch (CoreException) {
            $this->unread[] = 'the tuning '.mb_substr(implode(' ', $pitches), 0, 60).': the standard one is taken';
        }
        $this->capo = isset($details->capo) ? max(0, min(12, (int) $details->capo)) : $this->capo;
    }

    /** A tuning that has a name by its name. */
    private static function known(Tuning $tuning): Tuning
    {
        foreach (array_keys(Tuning::known()) as $slug) {
            $named = Tuning::parse($slug);
            if ($named->openMidi(0) === $tuning->openMidi(0)) {
                return $named;
            }
        }

        return $tuning;
    }

    private function harmony(SimpleXMLElement $harmony, int $at, int $number): void
    {
        $tick = max(0, $at + (int) round((float) ($harmony->offset ?? 0) * self::TICKS / $this->divisions));
        $symbol = ScoreWords::chord($harmony);
        if ($symbol === null) {
            $this->unread[] = sprintf(
                'a chord in bar %d (%s %s): it has no name here',
                $number + 1,
                mb_substr((string) $harmony->root->{'root-step'}, 0, 4),
                mb_substr((string) $harmony->kind, 0, 30),
            );

            return;
        }
        $this->chords[$number][] = [$tick, $symbol];
    }

    private function direction(SimpleXMLElement $direction, int $number): void
    {
        foreach ($direction->{'direction-type'} ?? [] as $type) {
            if (isset($type->rehearsal) && trim((string) $type->rehearsal) !== '') {
                $this->sections[$number] ??= trim((string) $type->rehearsal);
            }
            if (isset($type->metronome->{'per-minute'}) && $this->tempo === null) {
                $this->tempo = $this->beats(
                    (float) $type->metronome->{'per-minute'},
                    (string) $type->metronome->{'beat-unit'},
                    isset($type->metronome->{'beat-unit-dot'}),
                );
            }
        }
        if (isset($direction->sound)) {
            $this->sound($direction->sound, $number);
        }
    }

    private function sound(SimpleXMLElement $sound, int $number): void
    {
        foreach (self::JUMPS as $attribute => $sign) {
            if (isset($sound[$attribute])) {
                $this->unread[] = sprintf('%s in bar %d: the bars are taken in the order in which they stand', $sign, $number + 1);
            }
        }
        if (isset($sound['tempo']) && $this->tempo === null && (float) $sound['tempo'] > 0) {
            $this->tempo = (float) $sound['tempo'] / $this->meter->quartersPerBeat();
        }
        $swing = $sound->swing ?? null;
        if ($swing !== null && isset($swing->first, $swing->second) && $this->feel === null && (float) $swing->second > 0) {
            $ratio = (float) $swing->first / (float) $swing->second;
            if ($ratio >= 0.7 && $ratio <= 3) {
                $unit = (string) $swing->{'swing-type'} === '16th' ? SwingUnit::Sixteenth : SwingUnit::Eighth;
                $this->feel = new Feel(FeelMode::Fixed, $ratio, $unit);
            }
        }
    }

    /** Beats of our meter a minute. */
    private function beats(float $perMinute, string $unit, bool $dotted): ?float
    {
        $quarters = (['whole' => 4.0, 'half' => 2.0, 'quarter' => 1.0, 'eighth' => 0.5, '16th' => 0.25][$unit] ?? 1.0) * ($dotted ? 1.5 : 1.0);

        return $perMinute > 0 ? $perMinute * $quarters / $this->meter->quartersPerBeat() : null;
    }
}
