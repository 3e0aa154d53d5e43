<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Formats\Failure\ScoreNotReadable;
use XMLReader;

/**
 * The parts of a score, looked over once: which has tab, which has chords over it, which plays several notes at a time.
 *
 * @internal used by ScoreDraft
 */
final class ScoreParts
{
    public string $title = '';

    /** @var array<string, array{name: string, tab: bool, chords: int, together: int, notes: int}> by id */
    private array $parts = [];

    private function __construct() {}

    /** @throws ScoreNotReadable */
    public static function of(string $xml): self
    {
        $parts = new self();
        $reader = self::open($xml);
        $part = '';
        $root = '';

        try {
            while ($reader->read()) {
                if ($reader->nodeType !== XMLReader::ELEMENT) {
                    continue;
                }
                $root = $root === '' ? $reader->localName : $root;
                match ($reader->localName) {
                    'work-title', 'movement-title' => $parts->title = $parts->title === '' ? trim($reader->readString()) : $parts->title,
                    'score-part' => $parts->parts[$part = (string) $reader->getAttribute('id')] ??= [
                        'name' => '',
                        'tab' => false,
                        'chords' => 0,
                        'together' => 0,
                        'notes' => 0,
                    ],
                    'part-name' => $parts->named($part, trim($reader->readString())),
                    'part' => $part = (string) $reader->getAttribute('id'),
                    'fret' => $parts->count($part, 'tab'),
                    'harmony' => $parts->count($part, 'chords'),
                    'chord' => $parts->count($part, 'together'),
                    'pitch', 'unpitched' => $parts->count($part, 'notes'),
                    default => null,
                };
            }
        } catch (\ErrorException) {
            // What libxml warns of is asked for below.
        }
        self::complain($reader);
        if ($root !== 'score-partwise') {
            throw new ScoreNotReadable(
                $root === 'score-timewise' ? 'it is written time by time; save it part by part' : 'it is another kind of file',
            );
        }

        return $parts;
    }

    /** Opens a score so that nothing is fetched and no entity of its own is put in. */
    public static function open(string $xml): XMLReader
    {
        libxml_use_internal_errors(true);
        libxml_clear_errors();
        $reader = XMLReader::XML($xml, null, LIBXML_NONET | LIBXML_COMPACT);

        return $reader instanceof XMLReader ? $reader : throw new ScoreNotReadable('it is empty');
    }

    /** @throws ScoreNotReadable where the file ended in the middle, or is no XML at all */
    public static function complain(XMLReader $reader): void
    {
        $reader->close();
        foreach (libxml_get_errors() as $error) {
            if ($error->level === LIBXML_ERR_FATAL) {
                libxml_clear_errors();

                throw new ScoreNotReadable(strtolower(rtrim(trim($error->message), '.')), $error->line);
            }
        }
        libxml_clear_errors();
    }

    /** The part with tab, else one that is called a guitar, else the one that plays most notes together. */
    public function guitar(): ?string
    {
        $ids = array_keys($this->parts);
        usort($ids, fn (string $a, string $b): int => $this->worth($b) <=> $this->worth($a));

        return $ids[0] ?? null;
    }

    /** The part over which most chords stand; null where none has any. */
    public function harmony(): ?string
    {
        $ids = array_keys(array_filter($this->parts, static fn (array $part): bool => $part['chords'] > 0));
        usort($ids, fn (string $a, string $b): int => $this->parts[$b]['chords'] <=> $this->parts[$a]['chords']);

        return $ids[0] ?? null;
    }

    /** @return list<string> what of the other parts is left out */
    public function others(string $guitar): array
    {
        $out = [];
        foreach ($this->parts as $id => $part) {
            if ($id !== $guitar && $part['notes'] > 0) {
                $out[] = sprintf(
                    'the part “%s”, %d note%s',
                    mb_substr($part['name'] === '' ? $id : $part['name'], 0, 40),
                    $part['notes'],
                    $part['notes'] === 1 ? '' : 's',
                );
            }
        }

        return $out;
    }

    /** @return array{int, int, int} */
    private function worth(string $id): array
    {
        $part = $this->parts[$id];

        return [$part['tab'] ? 1 : 0, (int) preg_match('/guit|gtr/i', $part['name']), $part['together']];
    }

    private function named(string $part, string $name): void
    {
        if (isset($this->parts[$part])) {
            $this->parts[$part]['name'] = $name;
        }
    }

    /** @param 'tab'|'chords'|'together'|'notes' $what */
    private function count(string $part, string $what): void
    {
        if (! isset($this->parts[$part])) {
            return;
        }
        match ($what) {
            'tab' => $this->parts[$part]['tab'] = true,
            'chords' => $this->parts[$part]['chords']++,
            'together' => $this->parts[$part]['together']++,
            'notes' => $this->parts[$part]['notes']++,
        };
    }
}
