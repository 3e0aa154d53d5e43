<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\LessonResource;
use Gravik\Lesson\Steps\LessonPlanner;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class PlanLesson extends Controller
{
    #[OA\Post(path: '/api/compute/lesson', summary: 'The stages in which a song is learned, and one of them opened',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'stage', description: 'to open; none where it is missing', type: 'string', nullable: true),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(ref: '#/components/schemas/Lesson'),
    )])]
    public function __invoke(DocumentRequest $request, VoicedForms $voiced, LessonPlanner $planner): JsonResponse
    {
        $song = $request->breakdown();

        return new JsonResponse(LessonResource::of($planner->plan($song, $voiced->all($song)), $request->stage()));
    }
}
