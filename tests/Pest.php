<?php

use Tests\FeatureTestCase;
use Tests\OperationsTestCase;

pest()->extend(FeatureTestCase::class)->in('Feature');
pest()->extend(OperationsTestCase::class)->in('Operations');
