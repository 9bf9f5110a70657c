@include('errors.problem', ['code' => 419])
