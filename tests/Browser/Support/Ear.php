<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

/**
 * Listens to what the page really sends to its speakers: a worklet beside the destination notes the peak of every block
 * of 128 samples, and its steepest step from sample to sample, with its place on the audio clock.
 */
final readonly class Ear
{
    private const WORKLET = <<<'JS'
        const source = `registerProcessor('ear', class extends AudioWorkletProcessor {
          constructor() { super(); this.blocks = []; this.last = 0 }
          process([input]) {
            let peak = 0
            let step = 0
            for (const value of input[0] ?? []) {
              peak = Math.max(peak, Math.abs(value))
              step = Math.max(step, Math.abs(value - this.last))
              this.last = value
            }
            this.blocks.push(currentTime, peak, step)
            if (this.blocks.length >= 510) { this.port.postMessage(this.blocks); this.blocks = [] }
            return true
          }
        })`
        window.heard = []
        const connect = AudioNode.prototype.connect
        AudioNode.prototype.connect = function (to, ...rest) {
          if (to instanceof AudioDestinationNode && this.context instanceof AudioContext && window.ear === undefined) {
            window.ear = 'coming'
            this.context.audioWorklet.addModule(URL.createObjectURL(new Blob([source], { type: 'text/javascript' }))).then(() => {
              window.ear = new AudioWorkletNode(this.context, 'ear')
              window.ear.port.onmessage = ({ data }) => { for (const value of data) window.heard.push(value) }
              connect.call(this, window.ear)
              connect.call(window.ear, to)
            })
          }
          return connect.call(this, to, ...rest)
        }
        JS;

    private const ABOVE = 2.0;

    private const BLOCKS_BEFORE = 15;

    public function __construct(private Page $page)
    {
        // The ear is a script that is not ours: for it alone the page's policy is lifted.
        $page->driver->executeCustomCommand(
            '/session/:sessionId/goog/cdp/execute',
            'POST',
            ['cmd' => 'Page.setBypassCSP', 'params' => ['enabled' => true]],
        );
        $page->driver->executeCustomCommand(
            '/session/:sessionId/goog/cdp/execute',
            'POST',
            ['cmd' => 'Page.addScriptToEvaluateOnNewDocument', 'params' => ['source' => self::WORKLET]],
        );
    }

    public function forget(): void
    {
        $this->page->script('window.heard.length = 0');
    }

    /** @return list<array{float, float, float}> seconds of the audio clock, peak and steepest step of each block, in order */
    public function blocks(): array
    {
        /** @var list<float> $flat */
        $flat = $this->page->script('return window.heard');

        return array_map(static fn (array $block): array => [$block[0], $block[1], $block[2]], array_chunk($flat, 3));
    }

    /**
     * Moments at which sound sets in anew: the first block that is well steeper than everything in the 40 ms before it. A pick
     * is steep, strings that swell against one another are not. What sounds as listening begins has set in earlier.
     *
     * @param float $apart seconds that a strum's own sweep may take
     *
     * @return list<float> seconds of the audio clock
     */
    public function onsets(float $threshold = 0.05, float $apart = 0.09): array
    {
        $onsets = [];
        $recent = [];
        foreach ($this->blocks() as [$time, $peak, $step]) {
            if (
                count($recent) === self::BLOCKS_BEFORE
                && $peak > $threshold
                && $step > self::ABOVE * max($recent)
                && ($onsets === [] || $time - $onsets[count($onsets) - 1] > $apart)
            ) {
                $onsets[] = $time;
            }
            $recent = array_slice([...$recent, $step], -self::BLOCKS_BEFORE);
        }

        return $onsets;
    }

    /** The loudest peak between two moments. */
    public function peak(float $from, float $to): float
    {
        return max(
            0.0,
            ...array_map(static fn (array $block): float => $block[0] >= $from && $block[0] < $to ? $block[1] : 0.0, $this->blocks()),
        );
    }
}
