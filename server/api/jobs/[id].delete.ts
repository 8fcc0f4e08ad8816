export default route(({ event, angler }) => useJobs().stop(angler.id, pathId(event)))
