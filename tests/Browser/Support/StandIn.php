<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

/**
 * In place of a microphone: hears the page's own loudspeaker a little late, or a recording that begins exactly with the
 * count-in, as a player would who hears it. It sits in the page, since the browser's own stand-in begins anywhere; and what
 * it hears goes straight into the page's graph, since a stream between them is later by another 20 ms each time it opens.
 */
final readonly class StandIn
{
    private const SCRIPT = <<<'JS'
        window.standIn = { wav: null, after: 0, loopMs: null }
        const contexts = []
        const speakers = []
        const connect = AudioNode.prototype.connect
        const start = AudioBufferSourceNode.prototype.start
        let whenItBegins = null
        let air = null
        let heard = null
        window.AudioContext = class extends AudioContext {
          constructor() {
            super()
            contexts.push(this)
          }
        }
        AudioNode.prototype.connect = function (to, ...rest) {
          if (to instanceof AudioDestinationNode && contexts.includes(this.context)) {
            speakers.push(this)
            if (air !== null) connect.call(this, air)
          }
          return connect.call(this, to, ...rest)
        }
        AudioBufferSourceNode.prototype.start = function (when = 0, ...rest) {
          whenItBegins?.(when)
          return start.call(this, when, ...rest)
        }
        AudioContext.prototype.createMediaStreamSource = () => heard
        navigator.mediaDevices.getUserMedia = async () => {
          const context = contexts.find((each) => each !== window.slipContext)
          heard = context.createGain()
          air = null
          if (window.standIn.loopMs !== null) {
            air = context.createDelay(1)
            air.delayTime.value = window.standIn.loopMs / 1000
            speakers.forEach((speaker) => connect.call(speaker, air))
            connect.call(air, heard)
          }
          if (window.standIn.wav !== null) {
            const bytes = Uint8Array.from(atob(window.standIn.wav), (letter) => letter.charCodeAt(0))
            const buffer = await context.decodeAudioData(bytes.buffer)
            whenItBegins = (when) => {
              whenItBegins = null
              const player = context.createBufferSource()
              player.buffer = buffer
              connect.call(player, heard)
              start.call(player, when + window.standIn.after)
            }
          }
          return context.createMediaStreamDestination().stream
        }
        JS;

    public function __construct(private Page $page)
    {
        $page->driver->executeCustomCommand(
            '/session/:sessionId/goog/cdp/execute',
            'POST',
            ['cmd' => 'Page.addScriptToEvaluateOnNewDocument', 'params' => ['source' => self::SCRIPT]],
        );
    }

    /** Hears the loudspeaker, so many ms late. */
    public function hearsTheSpeaker(float $lateMs): void
    {
        $this->page->script('Object.assign(window.standIn, { wav: null, loopMs: arguments[0] })', [$lateMs]);
    }

    /** @param float $after seconds from the first click of the count-in to the beginning of the recording */
    public function plays(string $wav, float $after): void
    {
        $this->page->script(
            'Object.assign(window.standIn, { wav: arguments[0], after: arguments[1], loopMs: null })',
            [base64_encode($wav), $after],
        );
    }
}
