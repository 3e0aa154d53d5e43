<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\StagedSongs;
use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\TimelineResource;
use Gravik\Breakdown\Arrangement;
use Gravik\Lesson\Steps\Flaw;
use Gravik\Performance\Performer;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class BuildTimeline extends Controller
{
    #[OA\Post(path: '/api/compute/timeline', summary: 'The whole form as timed events',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'tempo', type: 'number', nullable: true),
        new OA\Property(property: 'level', description: 'of the guitar\'s pattern, 1 to 3', type: 'integer'),
        new OA\Property(
            property: 'stage',
            description: 'of the lesson; the whole song where it is missing',
            type: 'string',
            nullable: true,
        ),
        new OA\Property(property: 'arrangement', type: 'string', enum: Arrangement::class, nullable: true),
        new OA\Property(
            property: 'flaw',
            description: 'one thing played wrong, to hear',
            type: 'string',
            enum: Flaw::class,
            nullable: true,
        ),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(ref: '#/components/schemas/Timeline'),
    )])]
    public function __invoke(DocumentRequest $request, StagedSongs $songs, VoicedForms $voiced, Performer $performer): JsonResponse
    {
        $desk = $request->desk();
        $flaw = $request->enum('flaw', Flaw::class);
        $song = $songs->of($desk->breakdown, $request->stage(), $request->arrangement(), $flaw);
        $level = min($song->level, $request->level());
        $timeline = $performer->perform($song->breakdown, $request->tempo(), $voiced->all($song->breakdown), $level);

        return new JsonResponse(TimelineResource::of($desk, $request->tempo(), $timeline));
    }
}
