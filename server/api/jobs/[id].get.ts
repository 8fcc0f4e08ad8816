export default route(({ event, angler }) => useJobs().get(angler.id, pathId(event)))
