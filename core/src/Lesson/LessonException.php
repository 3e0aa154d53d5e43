<?php

declare(strict_types=1);

namespace Gravik\Lesson;

use Gravik\CoreException;

abstract class LessonException extends CoreException {}
